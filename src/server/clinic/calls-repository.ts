import type { RowDataPacket } from "mysql2";
import type { Calls } from "~/contract/clinic";
import { fromDatabaseJson, toDatabaseTime, type Queryable } from "~/server/db/connection";

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
