import * as wire from "~/contract/daily";
import { recordSession } from "~/server/episode/record-session";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.recordSession, ({ staff, id, body }) => recordSession(staff, id, body));
