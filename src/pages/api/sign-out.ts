import { sessionCookie, signOut } from "~/server/auth/session";
import { openEndpoint } from "~/server/http/endpoint";

export const POST = openEndpoint(async ({ cookies }) => {
  const token = cookies.get(sessionCookie)?.value;
  if (token) await signOut(token);
  cookies.delete(sessionCookie, { path: "/" });
  return { signedIn: false };
});
