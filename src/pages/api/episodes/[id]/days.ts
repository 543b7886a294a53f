import * as wire from "~/contract/reviewed";
import { readDays } from "~/server/episode/read-schools";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.readDays, ({ staff, id, query }) => readDays(staff, id, query.from ?? null));
