import * as wire from "~/contract/episode";
import { readStair } from "~/server/episode/read-episode";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.readStair, ({ staff, id, query }) => readStair(staff, id, query.school));
