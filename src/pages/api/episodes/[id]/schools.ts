import * as wire from "~/contract/reviewed";
import { readSchools } from "~/server/episode/read-schools";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.compareSchools, ({ staff, id, query }) => readSchools(staff, id, query.item));
