import * as wire from "~/contract/plan";
import { putBackItem } from "~/server/plan/change-plan";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.putBackItem, ({ staff, id, body }) => putBackItem(staff, id, body));
