import * as wire from "~/contract/plan";
import { readPlan } from "~/server/plan/read-plan";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.readPlan, ({ staff, id }) => readPlan(staff, id));
