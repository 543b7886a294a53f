import * as wire from "~/contract/day";
import { readDayFile } from "~/server/day/expected";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.readDayFile, ({ staff, body }) => readDayFile(staff, body));
