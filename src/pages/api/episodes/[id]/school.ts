import * as wire from "~/contract/episode";
import { setSchool } from "~/server/episode/set-school";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.setSchool, ({ staff, id, body }) => setSchool(staff, id, body));
