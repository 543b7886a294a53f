import * as wire from "~/contract/gate";
import { readGate } from "~/server/gate/read-gate";
import { signGate } from "~/server/gate/sign-gate";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.readGate, ({ staff, id }) => readGate(staff, id));

export const POST = serve(wire.signGate, ({ staff, id, body }) => signGate(staff, id, body));
