import * as wire from "~/contract/clinic";
import { browserCookie, browserCookieSettings } from "~/server/auth/known-browser";
import { sessionCookie, sessionCookieSettings, signIn } from "~/server/auth/session";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.signIn, async ({ body, context }) => {
  const { cookies, clientAddress } = context;
  const { token, browser } = await signIn(body, clientAddress, cookies.get(browserCookie())?.value);
  cookies.set(sessionCookie(), token, sessionCookieSettings());
  if (browser !== null) cookies.set(browserCookie(), browser, browserCookieSettings());
  return { signedIn: true };
});
