import * as wire from "~/contract/episode";
import { readCaseFile } from "~/server/episode/read-episode";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.exportCase, ({ staff, id }) => readCaseFile(staff, id));
