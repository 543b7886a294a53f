import * as wire from "~/contract/people";
import { mergePeople } from "~/server/people/merge-people";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.mergePeople, ({ staff, id, body }) => mergePeople(staff, id, body));
