import * as wire from "~/contract/clinic";
import { sessionCookie, sessionCookieSettings, signIn } from "~/server/auth/session";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.signIn, async ({ body, context }) => {
  const token = await signIn(body, context.clientAddress);
  context.cookies.set(sessionCookie(), token, sessionCookieSettings());
  return { signedIn: true };
});
