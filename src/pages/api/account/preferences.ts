import * as wire from "~/contract/account";
import { setPreferences } from "~/server/account/account";
import { tokenOf } from "~/server/auth/session";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.setPreferences, ({ staff, body, context }) =>
  setPreferences(staff, tokenOf(context), body),
);
