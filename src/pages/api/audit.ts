import * as wire from "~/contract/trust";
import { readAudit } from "~/server/trust/read-audit";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.readAudit, ({ staff, query }) => readAudit(staff, query));
