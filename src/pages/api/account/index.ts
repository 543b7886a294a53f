import * as wire from "~/contract/account";
import { readAccount } from "~/server/account/account";
import { tokenOf } from "~/server/auth/session";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.readAccount, ({ staff, context }) => readAccount(staff, tokenOf(context)));
