import type { ResultSetHeader } from "mysql2";
import { pool } from "~/server/db/connection";

const atMost = 1000;

/** Removes counts of tries whose time is over. @returns how many */
export async function sweepCounters(): Promise<number> {
  const [{ affectedRows }] = await pool().query<ResultSetHeader>(
    "DELETE FROM sign_in_limits WHERE expire IS NOT NULL AND expire < ? LIMIT ?",
    [Date.now(), atMost],
  );
  return affectedRows;
}
