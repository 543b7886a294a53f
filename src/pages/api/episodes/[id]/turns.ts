import * as wire from "~/contract/people";
import { serve } from "~/server/http/serve";
import { turnEpisode } from "~/server/people/write-person";

export const POST = serve(wire.turnEpisode, ({ staff, id, body }) => turnEpisode(staff, id, body));
