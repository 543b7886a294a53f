import * as wire from "~/contract/measures";
import { readMeasures } from "~/server/measure/read-measures";
import { recordVisit } from "~/server/measure/record-visit";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.readMeasures, ({ staff, id }) => readMeasures(staff, id));

export const POST = serve(wire.recordVisit, ({ staff, id, body }) => recordVisit(staff, id, body));
