import * as wire from "~/contract/phone";
import { serveToPhone } from "~/server/http/serve";
import { tellSession } from "~/server/phone/tell";

export const POST = serveToPhone(wire.tellSession, ({ phone, body }) => tellSession(phone, body));
