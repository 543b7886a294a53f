import { v4 as uuid } from "uuid";
import type { ResultSetHeader, RowDataPacket } from "mysql2";
import { toDatabaseTime, type Queryable } from "./connection";
import { isConflict } from "./away";

/**
 * Takes a named lease for some seconds, so that only one process does a piece of work; a lease whose holder died
 * runs out. GET_LOCK would do on one server, but holds per node on a cluster.
 *
 * @returns a function that gives the lease back, or null when somebody else holds it
 */
export async function takeLease(
  db: Queryable,
  name: string,
  seconds: number,
  now: string,
): Promise<(() => Promise<void>) | null> {
  const holder = uuid();
  const expires = toDatabaseTime(new Date(Date.parse(now) + seconds * 1000).toISOString());
  try {
    await db.execute<ResultSetHeader>(
      `INSERT INTO leases (name, holder, expires_at) VALUES (?, ?, ?)
       ON DUPLICATE KEY UPDATE
         holder = IF(expires_at < ?, VALUES(holder), holder),
         expires_at = IF(holder = VALUES(holder), VALUES(expires_at), expires_at)`,
      [name, holder, expires, toDatabaseTime(now)],
    );
  } catch (error) {
    // Several asked at the same moment and the database ended this one: somebody else has it.
    if (isConflict(error)) return null;
    throw error;
  }
  const [rows] = await db.execute<RowDataPacket[]>("SELECT holder FROM leases WHERE name = ?", [name]);
  if (rows[0]?.["holder"] !== holder) return null;
  return async () => {
    await db.execute("DELETE FROM leases WHERE name = ? AND holder = ?", [name, holder]);
  };
}
