import * as wire from "~/contract/library";
import { readPatientLibrary } from "~/server/catalogue/read-library";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.searchPatientLibrary, ({ staff, id, context }) =>
  readPatientLibrary(staff, id, context.url.searchParams),
);
