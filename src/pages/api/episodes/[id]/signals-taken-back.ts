import * as wire from "~/contract/daily";
import { takeBackSignal } from "~/server/episode/stop-signals";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.takeBackSignal, ({ staff, id, body }) => takeBackSignal(staff, id, body));
