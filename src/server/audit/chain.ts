import { createHmac } from "node:crypto";
import type { RowDataPacket } from "mysql2";

/** Columns of a line that its link is made over, in their order. */
export const chainedColumns = [
  "seq",
  "clinic_id",
  "id",
  "at",
  "staff_id",
  "action",
  "object_kind",
  "object_id",
  "episode_id",
  "phone_id",
  "wrote",
  "address",
  "outcome",
] as const;

/** What the first line of a clinic's log is linked to. */
export const chainBegins = Buffer.alloc(32);

/**
 * The link of a line: made over the line and over the link before it, so that a line which is altered, taken out or put in breaks
 * every link after it.
 *
 * @param key the clinic's, that whoever rewrites the database does not have; empty where none is set
 * @param line its columns as the database gives them
 * Source: HMAC-SHA-256, RFC 2104; chaining as in Schneier and Kelsey 1999, recalled.
 */
export function linkOf(key: Buffer, before: Buffer, line: RowDataPacket): Buffer {
  const values = chainedColumns.map((name) => (line[name] === null ? null : String(line[name])));
  return createHmac("sha256", key).update(before).update(JSON.stringify(values)).digest();
}
