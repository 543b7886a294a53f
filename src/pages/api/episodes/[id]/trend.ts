import * as wire from "~/contract/measures";
import { readTrend } from "~/server/measure/read-trend";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.readTrend, ({ staff, id, query }) => readTrend(staff, id, query.measure));
