import * as wire from "~/contract/calendar";
import { readCalendar } from "~/server/calendar/calendar";
import { serveToPhone } from "~/server/http/serve";
import { siteOf } from "~/server/http/site-of";

export const GET = serveToPhone(wire.readOwnCalendar, ({ phone, query, context }) =>
  readCalendar(phone, phone.episodeId, { time: query.at ?? null, site: siteOf(context) }),
);
