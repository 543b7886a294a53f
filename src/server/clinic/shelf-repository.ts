import type { RowDataPacket } from "mysql2";
import type { ClinicShelf } from "~/contract/shelf";
import { fromDatabaseJson, fromDatabaseTime, toDatabaseTime, type Queryable } from "~/server/db/connection";

/** A setting of a clinic's shelf. */
export interface KeptShelf {
  readonly id: string;
  readonly at: string;
  readonly shelf: ClinicShelf;
}

/** The setting that holds, or null where nothing was set. */
export async function latestShelf(db: Queryable, clinicId: string): Promise<KeptShelf | null> {
  const [rows] = await db.execute<RowDataPacket[]>(
    "SELECT id, at, shelf FROM shelf_settings WHERE clinic_id = ? ORDER BY at DESC, id DESC LIMIT 1",
    [clinicId],
  );
  const row = rows[0];
  if (!row) return null;
  return {
    id: String(row["id"]),
    at: fromDatabaseTime(row["at"]),
    shelf: fromDatabaseJson<ClinicShelf>(row["shelf"]),
  };
}

/** Locks what a clinic's shelf is until it is set anew. @returns the setting that holds */
export async function lockShelf(db: Queryable, clinicId: string): Promise<KeptShelf | null> {
  await db.execute("SELECT id FROM clinics WHERE id = ? FOR UPDATE", [clinicId]);
  return latestShelf(db, clinicId);
}

export async function insertShelf(
  db: Queryable,
  { clinicId, staffId }: { clinicId: string; staffId: string },
  { id, at, shelf }: KeptShelf,
): Promise<void> {
  await db.execute("INSERT INTO shelf_settings (clinic_id, id, shelf, set_by, at) VALUES (?, ?, ?, ?, ?)", [
    clinicId,
    id,
    JSON.stringify(shelf),
    staffId,
    toDatabaseTime(at),
  ]);
}
