import { allCalculations } from "~/catalogue/calculations";
import { openEndpoint } from "~/server/http/endpoint";

export const GET = openEndpoint(async () => ({
  calculations: allCalculations.map(({ name, says, source }) => ({ name, says, source })),
}));
