import * as wire from "~/contract/trust";
import { readKeeping } from "~/server/clinic/keeping";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.readKeeping, ({ staff, query }) => readKeeping(staff, Number(query.years)));
