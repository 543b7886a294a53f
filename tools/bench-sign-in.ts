import { demoPassword } from "~demo/clinic";

/** Signs in at a process. @returns the cookie of the session */
export async function signIn(base: string, email: string): Promise<string> {
  const reply = await fetch(`${base}/api/sign-in`, {
    method: "POST",
    headers: { "content-type": "application/json", origin: base },
    body: JSON.stringify({ email, password: demoPassword }),
  });
  return reply.headers.get("set-cookie")?.split(";")[0] ?? "";
}
