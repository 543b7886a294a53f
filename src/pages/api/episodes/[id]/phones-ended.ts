import * as wire from "~/contract/phones";
import { serve } from "~/server/http/serve";
import { endPhones } from "~/server/phone/phones-of-patient";

export const POST = serve(wire.endPhones, ({ staff, id, body }) => endPhones(staff, id, body));
