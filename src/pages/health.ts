import { answered, json } from "~/server/http/serve";

/** The process runs. */
export const GET = answered(async () => json({ status: "ok" }));
