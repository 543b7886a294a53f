import * as wire from "~/contract/library";
import { readLibrary } from "~/server/catalogue/read-library";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.searchLibrary, ({ staff, context }) =>
  readLibrary(staff, context.url.searchParams),
);
