/**
 * Error numbers of a server that is there and cannot serve: ends (1053), not part of a majority (1047), lost it while it committed
 * (1180), ended this connection (1927).
 */
const awayNumbers = new Set([1047, 1053, 1180, 1927]);
const awayCodes = new Set([
  "PROTOCOL_CONNECTION_LOST",
  "PROTOCOL_SEQUENCE_TIMEOUT",
  "ECONNRESET",
  "EPIPE",
  "ECONNREFUSED",
  "ETIMEDOUT",
  "EHOSTUNREACH",
  "ENOTFOUND",
]);
/** Reached, but of no use just now. */
const busyCodes = new Set([
  "ER_CON_COUNT_ERROR",
  "ER_SERVER_SHUTDOWN",
  "ER_ACCESS_DENIED_ERROR",
  "ER_STATEMENT_TIMEOUT",
  // What it says of itself is not what was agreed: nothing is sent there.
  "HANDSHAKE_SSL_ERROR",
  "HANDSHAKE_NO_SSL_SUPPORT",
]);
/** Numbers with which MariaDB ends one of two that stood in each other's way; on a cluster, where they meet. */
const conflictNumbers = new Set([1213, 1205]);

/**
 * True when the server behind a connection is gone or cannot serve: another one of the same cluster, or the same one later, may.
 *
 * @example isAway({ code: "ECONNRESET" }) // true
 * @example isAway({ errno: 1047, code: "ER_UNKNOWN_COM_ERROR" }) // true
 * @example isAway({ errno: 1062, code: "ER_DUP_ENTRY" }) // false
 */
export function isAway(error: unknown): boolean {
  return awayCodes.has(codeOf(error)) || awayNumbers.has(numberOf(error));
}

/** True when the database cannot be reached just now, or others stand in the way, so that asking again later may help. */
export function isDatabaseUnavailable(error: unknown): boolean {
  if (isAway(error) || isConflict(error)) return true;
  return busyCodes.has(codeOf(error)) || /closed state|Pool is closed/.test(String(error));
}

/**
 * True when somebody else's lock ended this statement: whoever can do without its effect may go on.
 *
 * @example isConflict({ errno: 1213 }) // true
 */
export function isConflict(error: unknown): boolean {
  return conflictNumbers.has(numberOf(error));
}

/** True when a row with this key is there already. */
export function isDuplicate(error: unknown): boolean {
  return numberOf(error) === 1062;
}

const numberOf = (error: unknown) => Number((error as { errno?: number } | null)?.errno);
const codeOf = (error: unknown) => String((error as { code?: string } | null)?.code ?? "");
