import * as wire from "~/contract/daily";
import { recordReport } from "~/server/episode/record-report";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.recordReport, ({ staff, id, body }) => recordReport(staff, id, body));
