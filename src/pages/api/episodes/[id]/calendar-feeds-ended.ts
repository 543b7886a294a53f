import * as wire from "~/contract/calendar";
import { endFeed } from "~/server/calendar/calendar";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.endFeed, ({ staff, id }) => endFeed(staff, id));
