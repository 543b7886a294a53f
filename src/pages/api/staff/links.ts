import * as wire from "~/contract/staff";
import { serve } from "~/server/http/serve";
import { makePasswordLink } from "~/server/staff/password-links";

export const POST = serve(wire.makePasswordLink, ({ staff, body }) => makePasswordLink(staff, body.staffId));
