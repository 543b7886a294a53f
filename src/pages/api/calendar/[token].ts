import * as wire from "~/contract/calendar";
import { readFeed } from "~/server/calendar/calendar";
import { serve } from "~/server/http/serve";
import { siteOf } from "~/server/http/site-of";

export const GET = serve(wire.readFeed, ({ token, context }) => readFeed(token, siteOf(context)));
