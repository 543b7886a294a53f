import * as wire from "~/contract/clinic";
import { readCalls, setCalls } from "~/server/clinic/calls";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.readCalls, ({ staff }) => readCalls(staff));

export const POST = serve(wire.setCalls, ({ staff, body }) => setCalls(staff, body));
