import { isAway } from "./away";
import { pool, type Connection } from "./connection";

/**
 * Runs `work` in one transaction and commits. Conflicts and lost connections are retried a few times; that is
 * safe because every write from a client carries an id of its own, so a repeat finds the first one's rows.
 *
 * @param begin what begins it, where that is more than its first statement
 */
export async function inTransaction<T>(
  work: (connection: Connection) => Promise<T>,
  begin?: string,
): Promise<T> {
  const since = Date.now();
  for (let tried = 1; ; tried += 1) {
    try {
      return await once(work, begin);
    } catch (error) {
      if (!(await pool().waitToTryAgain(error, tried, since))) throw error;
    }
  }
}

/** Reads several statements' worth as of one instant, whoever writes meanwhile; anew from another server where the first one ended. */
export function inSnapshot<T>(work: (connection: Connection) => Promise<T>): Promise<T> {
  return inTransaction(work, "START TRANSACTION WITH CONSISTENT SNAPSHOT, READ ONLY");
}

async function once<T>(work: (connection: Connection) => Promise<T>, begin?: string): Promise<T> {
  const connection = await pool().getConnection();
  let broken = false;
  try {
    if (begin !== undefined) await connection.query(begin);
    const result = await work(connection);
    await connection.commit();
    return result;
  } catch (error) {
    broken = isAway(error);
    if (!broken) await connection.rollback().catch(() => (broken = true));
    throw error;
  } finally {
    connection.giveBack(broken);
  }
}
