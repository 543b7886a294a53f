import * as wire from "~/contract/history";
import { recordEvent } from "~/server/history/change-history";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.recordEvent, ({ staff, id, body }) => recordEvent(staff, id, body));
