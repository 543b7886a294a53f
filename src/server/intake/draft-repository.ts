import type { ResultSetHeader, RowDataPacket } from "mysql2";
import type { DraftBody, DraftList } from "~/contract/intake";
import type { StaffContext } from "~/server/staff-context";
import { fromDatabaseJson, fromDatabaseTime, toDatabaseTime, type Queryable } from "~/server/db/connection";

/** Unfinished intakes of a clinic; beyond, one would lie where nobody sees it. */
export const keptAtMost = 30;

/**
 * Keeps an intake that is being filled in; the same id again takes its place. One that has been signed is over: a save that was
 * still on its way keeps nothing.
 *
 * @returns false where the clinic has as many unfinished ones as it can have, and this is none of them
 */
export async function saveDraft(
  db: Queryable,
  staff: StaffContext,
  draft: DraftBody,
  at: string,
): Promise<boolean> {
  const [written] = await db.execute<ResultSetHeader>(
    `INSERT INTO intake_drafts (clinic_id, id, label, body, saved_by, saved_at)
     SELECT * FROM (SELECT ? AS clinic_id, ? AS id, ? AS label, ? AS body, ? AS saved_by, ? AS saved_at) AS draft
      WHERE NOT EXISTS (SELECT 1 FROM episodes e WHERE e.clinic_id = draft.clinic_id AND e.id = draft.id)
        AND (EXISTS (SELECT 1 FROM intake_drafts d WHERE d.clinic_id = draft.clinic_id AND d.id = draft.id)
             OR (SELECT COUNT(*) FROM intake_drafts d WHERE d.clinic_id = draft.clinic_id) < ?)
     ON DUPLICATE KEY UPDATE label = VALUES(label), body = VALUES(body), saved_by = VALUES(saved_by),
       saved_at = VALUES(saved_at)`,
    [
      staff.clinicId,
      draft.id,
      draft.label,
      JSON.stringify(draft.body),
      staff.staffId,
      toDatabaseTime(at),
      keptAtMost,
    ],
  );
  return written.affectedRows > 0 || (await isSigned(db, staff.clinicId, draft.id));
}

async function isSigned(db: Queryable, clinicId: string, id: string): Promise<boolean> {
  const [rows] = await db.execute<RowDataPacket[]>(
    "SELECT 1 FROM episodes e WHERE e.clinic_id = ? AND e.id = ?",
    [clinicId, id],
  );
  return rows.length > 0;
}

/** The clinic's unfinished intakes, latest first. */
export async function listDrafts(db: Queryable, clinicId: string): Promise<DraftList["drafts"]> {
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT d.id, d.label, d.body, d.saved_at
       FROM intake_drafts d
       LEFT JOIN episodes e ON e.clinic_id = d.clinic_id AND e.id = d.id
      WHERE d.clinic_id = ? AND e.id IS NULL
      ORDER BY d.saved_at DESC, d.id LIMIT ?`,
    [clinicId, keptAtMost],
  );
  return rows.map((row) => ({
    id: String(row["id"]),
    label: String(row["label"]),
    savedAt: fromDatabaseTime(row["saved_at"]),
    body: fromDatabaseJson<Record<string, unknown>>(row["body"]),
  }));
}

export async function dropDraft(db: Queryable, clinicId: string, id: string): Promise<void> {
  await db.execute("DELETE d FROM intake_drafts d FORCE INDEX (PRIMARY) WHERE d.clinic_id = ? AND d.id = ?", [
    clinicId,
    id,
  ]);
}
