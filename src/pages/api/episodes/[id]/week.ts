import * as wire from "~/contract/week";
import { readWeek } from "~/server/week/read-week";
import { keepWeek } from "~/server/week/write-week";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.readWeek, ({ staff, id, query }) => readWeek(staff, id, query));
export const POST = serve(wire.keepWeek, ({ staff, id, body }) => keepWeek(staff, id, body));
