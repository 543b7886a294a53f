import * as wire from "~/contract/measures";
import { readStills } from "~/server/measure/read-stills";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.readStills, ({ staff, id }) => readStills(staff, id));
