import * as wire from "~/contract/plan";
import { addItem } from "~/server/plan/change-plan";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.addItem, ({ staff, id, body }) => addItem(staff, id, body));
