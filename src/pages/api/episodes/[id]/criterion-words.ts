import * as wire from "~/contract/gate";
import { judgeCriterion } from "~/server/gate/sign-gate";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.judgeCriterion, ({ staff, id, body }) => judgeCriterion(staff, id, body));
