import * as wire from "~/contract/staff";
import { serve } from "~/server/http/serve";
import { setPasswordByLink } from "~/server/staff/password-links";

export const POST = serve(wire.setPassword, ({ body, context }) =>
  setPasswordByLink(body, context.clientAddress),
);
