import * as wire from "~/contract/plan";
import { endItem } from "~/server/plan/change-plan";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.endItem, ({ staff, id, body }) => endItem(staff, id, body));
