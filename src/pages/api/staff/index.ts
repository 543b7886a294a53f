import * as wire from "~/contract/staff";
import { serve } from "~/server/http/serve";
import { readStaff } from "~/server/staff/read-staff";
import { addColleague } from "~/server/staff/write-staff";

export const GET = serve(wire.readStaff, ({ staff }) => readStaff(staff));

export const POST = serve(wire.addColleague, ({ staff, body }) => addColleague(staff, body));
