import * as wire from "~/contract/phones";
import { serve } from "~/server/http/serve";
import { writeMessage } from "~/server/phone/phones-of-patient";

export const POST = serve(wire.writeMessage, ({ staff, id, body }) => writeMessage(staff, id, body));
