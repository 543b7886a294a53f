import * as wire from "~/contract/history";
import { readHistory } from "~/server/history/read-history";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.readHistory, ({ staff, id }) => readHistory(staff, id));
