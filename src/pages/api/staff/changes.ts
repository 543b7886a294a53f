import * as wire from "~/contract/staff";
import { serve } from "~/server/http/serve";
import { changeColleague } from "~/server/staff/write-staff";

export const POST = serve(wire.changeColleague, ({ staff, body }) => changeColleague(staff, body));
