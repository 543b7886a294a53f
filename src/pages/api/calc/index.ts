import { calculations } from "~/core/calculation/registry";
import { openEndpoint } from "~/server/http/endpoint";

export const GET = openEndpoint(async () => ({
  calculations: calculations.map(({ name, says, source }) => ({ name, says, source })),
}));
