import * as wire from "~/contract/daily";
import { clearStop } from "~/server/episode/clear-stop";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.clearStop, ({ staff, id, body }) => clearStop(staff, id, body));
