import * as wire from "~/contract/phone";
import { serveToPhone } from "~/server/http/serve";
import { readPhone } from "~/server/phone/phone-view";

export const GET = serveToPhone(wire.readPhone, ({ phone }) => readPhone(phone));
