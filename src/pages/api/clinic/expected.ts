import * as wire from "~/contract/day";
import { markExpected } from "~/server/day/expected";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.markExpected, ({ staff, body }) => markExpected(staff, body));
