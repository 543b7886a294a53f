import * as wire from "~/contract/reviewed";
import { readReplay } from "~/server/episode/read-schools";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.replayDecisions, ({ staff, id }) => readReplay(staff, id));
