import * as wire from "~/contract/week";
import { solveWeek } from "~/server/week/read-week";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.solveWeek, ({ staff, id, body }) => solveWeek(staff, id, body));
