import * as wire from "~/contract/measures";
import { importVisits } from "~/server/measure/record-visit";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.importVisits, ({ staff, id, body }) => importVisits(staff, id, body));
