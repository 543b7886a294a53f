import type { RowDataPacket } from "mysql2";
import type { Calls } from "~/contract/clinic";
import {
  fromDatabaseJson,
  fromDatabaseTimeOrNull,
  toDatabaseTime,
  type Queryable,
} from "~/server/db/connection";

/** Columns that say whom a clinic `c` calls, for `callsOf`. */
export const callsOfClinic = `c.call_whom,
            (SELECT w.calls FROM call_settings w WHERE w.clinic_id = c.id ORDER BY w.at DESC, w.id DESC LIMIT 1) AS calls`;

/** Whom a clinic calls; one that has set nothing has one sentence for every urgency. */
export function callsOf(row: RowDataPacket): Calls {
  if (row["calls"] !== null) return fromDatabaseJson<Calls>(row["calls"]);
  const words = String(row["call_whom"]);
  return { emergency: words, "same-day": words, soon: words, review: words };
}

/** Locks what the clinic calls by until it is set anew. @returns the instant of the last setting, or null */
export async function lockCalls(db: Queryable, clinicId: string): Promise<string | null> {
  await db.execute("SELECT id FROM clinics WHERE id = ? FOR UPDATE", [clinicId]);
  const [rows] = await db.execute<RowDataPacket[]>(
    "SELECT MAX(at) AS last FROM call_settings WHERE clinic_id = ?",
    [clinicId],
  );
  return fromDatabaseTimeOrNull(rows[0]?.["last"]);
}

/** The setting with this id, or null. */
export async function findCalls(db: Queryable, clinicId: string, id: string): Promise<Calls | null> {
  const [rows] = await db.execute<RowDataPacket[]>(
    "SELECT calls FROM call_settings WHERE clinic_id = ? AND id = ?",
    [clinicId, id],
  );
  return rows[0] ? fromDatabaseJson<Calls>(rows[0]["calls"]) : null;
}

export async function insertCalls(
  db: Queryable,
  { clinicId, staffId }: { clinicId: string; staffId: string },
  { id, calls }: { id: string; calls: Calls },
  at: string,
): Promise<void> {
  await db.execute("INSERT INTO call_settings (clinic_id, id, calls, set_by, at) VALUES (?, ?, ?, ?, ?)", [
    clinicId,
    id,
    JSON.stringify(calls),
    staffId,
    toDatabaseTime(at),
  ]);
}
