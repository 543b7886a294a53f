import * as wire from "~/contract/library";
import { retireExercise } from "~/server/catalogue/change-catalogue";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.retireExercise, ({ staff, body }) => retireExercise(staff, body));
