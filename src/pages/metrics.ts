import { answered } from "~/server/http/serve";
import { metricsText } from "~/server/http/metrics";

/** What this process counts, in the text format of Prometheus. Reached from this machine alone: the server sees to that. */
export const GET = answered(async () => {
  const { text, type } = await metricsText();
  return new Response(text, { headers: { "content-type": type, "cache-control": "no-store" } });
});
