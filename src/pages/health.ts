import { openEndpoint } from "~/server/http/endpoint";

/** The process runs. */
export const GET = openEndpoint(async () => ({ status: "ok" }));
