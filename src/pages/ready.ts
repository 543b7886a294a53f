import { databaseAnswers } from "~/server/db/connection";
import { answered, json } from "~/server/http/serve";

/** The process can serve: the database answers. 503 while it does not. */
export const GET = answered(async () => {
  await databaseAnswers();
  return json({ status: "ready" });
});
