import * as wire from "~/contract/clinic";
import { sessionCookie, signOut } from "~/server/auth/session";
import { cookieSettings } from "~/server/http/cookies";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.signOut, async ({ context }) => {
  const token = context.cookies.get(sessionCookie())?.value;
  if (token) await signOut(token);
  context.cookies.delete(sessionCookie(), cookieSettings());
  return { signedIn: false };
});
