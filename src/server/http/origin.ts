const safeMethods = new Set(["GET", "HEAD", "OPTIONS"]);

/**
 * Whether a request may write: it is safe by method, or its Origin header names this site. A missing or foreign Origin
 * is refused for every kind of body.
 */
export function originAllowed(request: Request): boolean {
  if (safeMethods.has(request.method)) return true;
  const origin = request.headers.get("origin");
  if (!origin) return false;
  try {
    const { host, origin: normal } = new URL(origin);
    const published = process.env["PUBLIC_URL"];
    if (published) return normal === new URL(published).origin;
    return host === request.headers.get("host");
  } catch {
    return false;
  }
}
