import * as wire from "~/contract/history";
import { setCondition } from "~/server/history/change-history";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.setCondition, ({ staff, id, body }) => setCondition(staff, id, body));
