import * as wire from "~/contract/record";
import { readRecord } from "~/server/episode/read-record";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.readRecord, ({ staff, id, query }) => readRecord(staff, id, query));
