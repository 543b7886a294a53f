import * as wire from "~/contract/daily";
import { signDecision } from "~/server/episode/sign-decision";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.signDecision, ({ staff, id, body }) => signDecision(staff, id, body));
