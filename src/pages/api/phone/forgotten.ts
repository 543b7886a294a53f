import * as wire from "~/contract/phone";
import { cookieSettings } from "~/server/http/cookies";
import { serveToPhone } from "~/server/http/serve";
import { forgetPhone, phoneCookie } from "~/server/phone/open-phone";

export const POST = serveToPhone(wire.forgetPhone, ({ phone, context }) => {
  context.cookies.delete(phoneCookie(), cookieSettings());
  return forgetPhone(phone);
});
