import * as wire from "~/contract/phone";
import { serveToPhone } from "~/server/http/serve";
import { tellMorning } from "~/server/phone/tell";

export const POST = serveToPhone(wire.tellMorning, ({ phone, body }) => tellMorning(phone, body));
