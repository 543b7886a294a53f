import * as wire from "~/contract/daily";
import { attributeFlare } from "~/server/episode/attribute-flare";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.attributeFlare, ({ staff, id, body }) => attributeFlare(staff, id, body));
