import * as wire from "~/contract/phone";
import { serve } from "~/server/http/serve";
import { openPhone, phoneCookie, phoneCookieSettings } from "~/server/phone/open-phone";

export const POST = serve(wire.openPhone, async ({ body, context }) => {
  const { token, givenName } = await openPhone(body, context.clientAddress);
  context.cookies.set(phoneCookie(), token, phoneCookieSettings());
  return { givenName };
});
