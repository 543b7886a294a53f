import * as wire from "~/contract/phones";
import { serve } from "~/server/http/serve";
import { allowHarder } from "~/server/phone/phones-of-patient";

export const POST = serve(wire.allowHarder, ({ staff, id, body }) => allowHarder(staff, id, body));
