import * as wire from "~/contract/trust";
import { askErasure } from "~/server/people/ask-erasure";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.askErasure, ({ staff, id, body }) => askErasure(staff, id, body));
