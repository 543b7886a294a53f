import { SignInBody } from "~/core/interchange/contract";
import { absoluteHours, sessionCookie, signIn } from "~/server/auth/session";
import { openEndpoint, validBody } from "~/server/http/endpoint";

export const POST = openEndpoint(async ({ request, cookies, clientAddress }) => {
  const { email, password } = await validBody(SignInBody, request);
  const token = await signIn(email, password, clientAddress);
  cookies.set(sessionCookie, token, {
    httpOnly: true,
    sameSite: "lax",
    secure: (process.env["PUBLIC_URL"] ?? "").startsWith("https:"),
    path: "/",
    maxAge: absoluteHours * 3600,
  });
  return { signedIn: true };
});
