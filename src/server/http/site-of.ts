import type { APIContext } from "astro";

/** Where the product is reached: as it is set, else as whoever asks does, whose Origin has been checked. */
export const siteOf = ({ request, url }: APIContext): string =>
  process.env["PUBLIC_URL"]?.replace(/\/$/, "") ?? request.headers.get("origin") ?? url.origin;
