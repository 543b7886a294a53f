import * as wire from "~/contract/phone";
import { serveToPhone } from "~/server/http/serve";
import { tellSignal } from "~/server/phone/tell";

export const POST = serveToPhone(wire.tellSignal, ({ phone, body }) => tellSignal(phone, body));
