import * as wire from "~/contract/daily";
import { clearSignal } from "~/server/episode/stop-signals";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.clearSignal, ({ staff, id, body }) => clearSignal(staff, id, body));
