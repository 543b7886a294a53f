import type { APIContext } from "astro";
import * as wire from "~/contract/phones";
import { serve } from "~/server/http/serve";
import { makePhoneLink, readPhones } from "~/server/phone/phones-of-patient";

export const GET = serve(wire.readPhones, ({ staff, id }) => readPhones(staff, id));
/** Where the patient reaches the product: as it is set, else as whoever asks does, whose Origin has been checked. */
const siteOf = ({ request, url }: APIContext): string =>
  process.env["PUBLIC_URL"]?.replace(/\/$/, "") ?? request.headers.get("origin") ?? url.origin;

export const POST = serve(wire.makePhoneLink, ({ staff, id, context }) =>
  makePhoneLink(staff, id, siteOf(context)),
);
