import * as wire from "~/contract/intake";
import { serve } from "~/server/http/serve";
import { throwAway } from "~/server/intake/drafts";

export const POST = serve(wire.dropIntakeDraft, ({ staff, body }) => throwAway(staff, body.id));
