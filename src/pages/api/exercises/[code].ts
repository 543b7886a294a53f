import * as wire from "~/contract/library";
import { exerciseInUse } from "~/server/catalogue/clinic-catalogue";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.readExercise, ({ staff, code }) => exerciseInUse(staff, code));
