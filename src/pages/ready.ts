import { pool } from "~/server/db/connection";
import { openEndpoint } from "~/server/http/endpoint";

/** The process can serve: the database answers. 503 while it does not. */
export const GET = openEndpoint(async () => {
  await pool().query("SELECT 1");
  return { status: "ready" };
});
