import * as wire from "~/contract/clinic";
import { openApi } from "~/server/http/openapi";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.describeInterface, () => openApi());
