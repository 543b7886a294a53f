import * as wire from "~/contract/measures";
import { exportResults } from "~/server/measure/export-results";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.exportResults, ({ staff, id }) => exportResults(staff, id));
