import * as wire from "~/contract/lab";
import { readLab } from "~/server/episode/read-lab";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.readLab, ({ staff, id }) => readLab(staff, id));
