import * as wire from "~/contract/people";
import { handOver } from "~/server/people/write-person";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.handOver, ({ staff, id, body }) => handOver(staff, id, body));
