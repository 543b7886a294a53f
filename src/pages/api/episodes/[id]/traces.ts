import * as wire from "~/contract/measures";
import { readTraces } from "~/server/measure/read-traces";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.readTraces, ({ staff, id, query }) => readTraces(staff, id, query.measure));
