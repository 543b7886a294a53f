import * as wire from "~/contract/daily";
import { raiseSignal } from "~/server/episode/stop-signals";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.raiseSignal, ({ staff, id, body }) => raiseSignal(staff, id, body));
