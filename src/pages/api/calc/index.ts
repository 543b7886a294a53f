import * as wire from "~/contract/clinic";
import { allCalculations } from "~/catalogue/calculations/all";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.listCalculations, () => ({
  calculations: allCalculations.map(({ name, says, source }) => ({ name, says, source })),
}));
