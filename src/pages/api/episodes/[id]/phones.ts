import * as wire from "~/contract/phones";
import { serve } from "~/server/http/serve";
import { siteOf } from "~/server/http/site-of";
import { makePhoneLink, readPhones } from "~/server/phone/phones-of-patient";

export const GET = serve(wire.readPhones, ({ staff, id }) => readPhones(staff, id));
export const POST = serve(wire.makePhoneLink, ({ staff, id, context }) =>
  makePhoneLink(staff, id, siteOf(context)),
);
