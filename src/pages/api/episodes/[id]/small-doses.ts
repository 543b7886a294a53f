import * as wire from "~/contract/lifts";
import { signSmallDose } from "~/server/lift/write-lifts";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.signSmallDose, ({ staff, id, body }) => signSmallDose(staff, id, body));
