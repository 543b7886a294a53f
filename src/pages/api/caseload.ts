import * as wire from "~/contract/clinic";
import { readCaseload } from "~/server/caseload/read-caseload";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.listCaseload, ({ staff, query }) => readCaseload(staff, query));
