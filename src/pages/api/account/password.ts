import * as wire from "~/contract/account";
import { changePassword } from "~/server/account/own-password";
import { tokenOf } from "~/server/auth/session";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.changePassword, ({ staff, body, context }) =>
  changePassword(staff, tokenOf(context), body, context.clientAddress),
);
