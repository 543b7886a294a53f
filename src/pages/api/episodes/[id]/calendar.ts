import * as wire from "~/contract/calendar";
import { readCalendar } from "~/server/calendar/calendar";
import { serve } from "~/server/http/serve";
import { siteOf } from "~/server/http/site-of";

export const GET = serve(wire.readCalendar, ({ staff, id, query, context }) =>
  readCalendar(staff, id, { time: query.at ?? null, site: siteOf(context) }),
);
