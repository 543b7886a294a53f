import type { RowDataPacket } from "mysql2";
import { fromDatabaseTime, toDatabaseTime, type Queryable } from "~/server/db/connection";

export interface ErasureRequest {
  readonly id: string;
  readonly at: string;
}

/** What was asked for a person, or null. */
export async function findErasureRequest(
  db: Queryable,
  clinicId: string,
  personId: string,
): Promise<ErasureRequest | null> {
  const [rows] = await db.execute<RowDataPacket[]>(
    "SELECT id, at FROM erasure_requests WHERE clinic_id = ? AND person_id = ?",
    [clinicId, personId],
  );
  const row = rows[0];
  return row ? { id: String(row["id"]), at: fromDatabaseTime(String(row["at"])) } : null;
}

export async function insertErasureRequest(
  db: Queryable,
  by: { readonly clinicId: string; readonly staffId: string },
  request: { readonly id: string; readonly personId: string; readonly reason: string },
  at: string,
): Promise<void> {
  await db.execute(
    "INSERT INTO erasure_requests (clinic_id, id, person_id, reason, asked_by, at) VALUES (?, ?, ?, ?, ?, ?)",
    [by.clinicId, request.id, request.personId, request.reason, by.staffId, toDatabaseTime(at)],
  );
}
