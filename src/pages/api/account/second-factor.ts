import * as wire from "~/contract/account";
import { offerSecondFactor } from "~/server/account/own-second-factor";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.offerSecondFactor, ({ staff, body, context }) =>
  offerSecondFactor(staff, body.password, context.clientAddress),
);
