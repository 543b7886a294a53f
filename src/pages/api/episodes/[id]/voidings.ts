import * as wire from "~/contract/record";
import { voidEntry } from "~/server/episode/void-entry";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.voidEntry, ({ staff, id, body }) => voidEntry(staff, id, body));
