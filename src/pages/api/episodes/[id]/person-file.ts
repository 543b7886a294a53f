import * as wire from "~/contract/trust";
import { exportPerson } from "~/server/people/export-person";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.exportPerson, ({ staff, id }) => exportPerson(staff, id));
