import * as wire from "~/contract/handout";
import { printHandout } from "~/server/handout/print-handout";
import { serve } from "~/server/http/serve";
import { siteOf } from "~/server/http/site-of";

export const POST = serve(wire.printHandout, ({ staff, id, body, context }) =>
  printHandout(staff, id, body, siteOf(context)),
);
