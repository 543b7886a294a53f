import * as wire from "~/contract/plan";
import { composePlan } from "~/server/plan/compose-plan";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.composeList, ({ staff, id, body }) => composePlan(staff, id, body));
