import { setTimeout as sleep } from "node:timers/promises";
import { pool, type Connection } from "./connection";

/** 1213 deadlock (and certification conflict), 1205 lock wait, 1047 node not ready. */
const retriedNumbers = new Set([1213, 1205, 1047]);
/** Numbers with which MariaDB ends one of two that stood in each other's way. */
const conflictNumbers = new Set([1213, 1205]);
const lostConnection = new Set(["PROTOCOL_CONNECTION_LOST", "ECONNRESET", "EPIPE"]);
const attempts = 5;

/**
 * Runs `work` in one transaction and commits. Conflicts and lost connections are retried a few times; that is
 * safe because every write from a client carries an id of its own, so a repeat finds the first one's rows.
 */
export async function inTransaction<T>(work: (connection: Connection) => Promise<T>): Promise<T> {
  for (let attempt = 1; ; attempt += 1) {
    try {
      return await once(work);
    } catch (error) {
      if (attempt >= attempts || !isRetried(error)) throw error;
      await sleep(20 * 2 ** attempt + Math.random() * 20);
    }
  }
}

/** Reads several statements' worth as of one instant, whoever writes meanwhile. */
export function inSnapshot<T>(work: (connection: Connection) => Promise<T>): Promise<T> {
  return once(work, "START TRANSACTION WITH CONSISTENT SNAPSHOT, READ ONLY");
}

async function once<T>(
  work: (connection: Connection) => Promise<T>,
  begin = "START TRANSACTION",
): Promise<T> {
  const connection = await pool().getConnection();
  let broken = false;
  try {
    await connection.query(begin);
    const result = await work(connection);
    await connection.commit();
    return result;
  } catch (error) {
    broken = lostConnection.has(codeOf(error));
    if (!broken) await connection.rollback().catch(() => (broken = true));
    throw error;
  } finally {
    if (broken) connection.destroy();
    else connection.release();
  }
}

/** True when somebody else's lock ended this statement: whoever can do without its effect may go on. */
export function isConflict(error: unknown): boolean {
  return conflictNumbers.has(Number((error as { errno?: number }).errno));
}

/** True when a row with this key is there already. */
export function isDuplicate(error: unknown): boolean {
  return Number((error as { errno?: number }).errno) === 1062;
}

function isRetried(error: unknown): boolean {
  return retriedNumbers.has(Number((error as { errno?: number }).errno)) || lostConnection.has(codeOf(error));
}

function codeOf(error: unknown): string {
  return String((error as { code?: string })?.code ?? "");
}

const unavailableCodes = new Set([
  ...lostConnection,
  "ECONNREFUSED",
  "ETIMEDOUT",
  "ENOTFOUND",
  "ER_CON_COUNT_ERROR",
  "ER_SERVER_SHUTDOWN",
  "ER_ACCESS_DENIED_ERROR",
  "ER_STATEMENT_TIMEOUT",
  "PROTOCOL_SEQUENCE_TIMEOUT",
]);

/** True when the database cannot be reached just now, so that asking again later may help. */
export function isDatabaseUnavailable(error: unknown): boolean {
  return unavailableCodes.has(codeOf(error)) || /closed state|Pool is closed/.test(String(error));
}
