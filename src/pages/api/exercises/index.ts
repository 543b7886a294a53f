import * as wire from "~/contract/library";
import { saveExercise } from "~/server/catalogue/change-catalogue";
import { searchCatalogue } from "~/server/catalogue/search-catalogue";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.searchCatalogue, ({ staff, context }) =>
  searchCatalogue(staff, context.url.searchParams),
);

export const POST = serve(wire.saveExercise, ({ staff, body }) => saveExercise(staff, body));
