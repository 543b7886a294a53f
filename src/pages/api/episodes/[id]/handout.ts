import * as wire from "~/contract/handout";
import { readHandout } from "~/server/handout/read-handout";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.readHandout, ({ staff, id }) => readHandout(staff, id));
