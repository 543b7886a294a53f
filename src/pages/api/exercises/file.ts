import * as wire from "~/contract/library";
import { exportExercises, importExercises } from "~/server/catalogue/change-catalogue";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.exportExercises, ({ staff }) => exportExercises(staff));

export const POST = serve(wire.importExercises, ({ staff, body }) => importExercises(staff, body));
