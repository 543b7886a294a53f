import * as wire from "~/contract/account";
import { endSessions } from "~/server/account/account";
import { tokenOf } from "~/server/auth/session";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.endSessions, ({ staff, body, context }) =>
  endSessions(staff, tokenOf(context), body.session),
);
