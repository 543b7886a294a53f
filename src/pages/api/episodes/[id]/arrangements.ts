import * as wire from "~/contract/plan";
import { arrangePlan } from "~/server/plan/arrange-plan";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.arrangePlan, ({ staff, id, body }) => arrangePlan(staff, id, body));
