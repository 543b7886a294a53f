import * as wire from "~/contract/people";
import { serve } from "~/server/http/serve";
import { changeIdentity } from "~/server/people/write-person";

export const POST = serve(wire.changeIdentity, ({ staff, id, body }) => changeIdentity(staff, id, body));
