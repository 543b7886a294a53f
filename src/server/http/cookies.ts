/** Whether the site is reached over https, as it says of itself. */
const isSecure = (): boolean => (process.env["PUBLIC_URL"] ?? "").startsWith("https:");

/**
 * What a cookie is called: over https with the prefix that lets no other host, path or plain connection set one of its name
 * (RFC 6265bis, 4.1.3.2).
 *
 * @example cookieName("stair_session") // "stair_session"
 */
export const cookieName = (name: string): string => (isSecure() ? `__Host-${name}` : name);

/** How every cookie is set and taken back: out of reach of scripts and other sites, over https alone where the site has it. */
export const cookieSettings = () => ({
  httpOnly: true,
  sameSite: "lax" as const,
  secure: isSecure(),
  path: "/",
});
