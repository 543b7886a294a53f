import * as wire from "~/contract/lifts";
import { readLifts } from "~/server/lift/read-lifts";
import { recordLift } from "~/server/lift/write-lifts";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.readLifts, ({ staff, id }) => readLifts(staff, id));
export const POST = serve(wire.recordLift, ({ staff, id, body }) => recordLift(staff, id, body));
