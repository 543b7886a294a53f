import * as wire from "~/contract/intake";
import { proposePlacing } from "~/server/intake/propose-placing";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.proposePlacing, ({ staff, body }) => proposePlacing(staff, body));
