import * as wire from "~/contract/account";
import { dropSecondFactor } from "~/server/account/own-second-factor";
import { tokenOf } from "~/server/auth/session";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.dropSecondFactor, ({ staff, body, context }) =>
  dropSecondFactor(staff, tokenOf(context), body.password, context.clientAddress),
);
