import * as wire from "~/contract/plan";
import { setCircumstances } from "~/server/plan/change-plan";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.setCircumstances, ({ staff, id, body }) => setCircumstances(staff, id, body));
