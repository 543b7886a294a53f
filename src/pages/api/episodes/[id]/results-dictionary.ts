import * as wire from "~/contract/measures";
import { exportDictionary } from "~/server/measure/export-results";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.exportDictionary, ({ staff, id }) => exportDictionary(staff, id));
