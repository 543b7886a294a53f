import * as wire from "~/contract/gate";
import { setPassing } from "~/server/gate/sign-gate";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.setPassing, ({ staff, id, body }) => setPassing(staff, id, body));
