import { databaseClock } from "~/server/db/connection";
import { clockProblem } from "~/server/http/clock-check";
import { answered, json } from "~/server/http/serve";

/** The process can serve: the database answers, and both go by the same time. 503 while that is not so. */
export const GET = answered(async () => {
  const problem = clockProblem(new Date().toISOString(), await databaseClock());
  if (problem) throw problem;
  return json({ status: "ready" });
});
