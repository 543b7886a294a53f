import * as wire from "~/contract/account";
import { confirmSecondFactor } from "~/server/account/own-second-factor";
import { tokenOf } from "~/server/auth/session";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.confirmSecondFactor, ({ staff, body, context }) =>
  confirmSecondFactor(staff, tokenOf(context), body.code),
);
