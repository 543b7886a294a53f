import { readEndpoint } from "~/server/http/endpoint";
import { readTrend } from "~/server/measure/read-trend";

/** One measure over time; `?measure=` names it. */
export const GET = readEndpoint((staff, { params, url }) =>
  readTrend(staff, params["id"] ?? "", url.searchParams.get("measure") ?? ""),
);
