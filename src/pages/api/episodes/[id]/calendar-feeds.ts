import * as wire from "~/contract/calendar";
import { makeFeed } from "~/server/calendar/calendar";
import { serve } from "~/server/http/serve";
import { siteOf } from "~/server/http/site-of";

export const POST = serve(wire.makeFeed, ({ staff, id, body, context }) =>
  makeFeed(staff, id, body, siteOf(context)),
);
