import * as wire from "~/contract/frame";
import { readFrame } from "~/server/episode/patient-frame";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.readFrame, ({ staff, id }) => readFrame(staff, id));
