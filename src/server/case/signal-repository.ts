import type { RowDataPacket } from "mysql2";
import type { Queryable } from "~/server/db/connection";

/** Who raised a stop signal, by the id of their account: two people may have one name. Null for a signal that is not there. */
export async function raisedBy(db: Queryable, clinicId: string, signalId: string): Promise<string | null> {
  const [rows] = await db.query<RowDataPacket[]>(
    "SELECT recorded_by FROM stop_signals WHERE clinic_id = ? AND id = ?",
    [clinicId, signalId],
  );
  const [row] = rows;
  return row ? String(row["recorded_by"]) : null;
}
