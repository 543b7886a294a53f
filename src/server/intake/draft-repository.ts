import type { RowDataPacket } from "mysql2";
import type { DraftBody, DraftList } from "~/contract/intake";
import type { StaffContext } from "~/server/staff-context";
import { fromDatabaseJson, fromDatabaseTime, toDatabaseTime, type Queryable } from "~/server/db/connection";

const keptAtMost = 30;

/**
 * Keeps an intake that is being filled in; the same id again takes its place. One that has been signed is over: a save that was
 * still on its way keeps nothing.
 */
export async function saveDraft(
  db: Queryable,
  staff: StaffContext,
  draft: DraftBody,
  at: string,
): Promise<void> {
  await db.execute(
    `INSERT INTO intake_drafts (clinic_id, id, label, body, saved_by, saved_at)
     SELECT * FROM (SELECT ? AS clinic_id, ? AS id, ? AS label, ? AS body, ? AS saved_by, ? AS saved_at) AS draft
      WHERE NOT EXISTS (SELECT 1 FROM episodes e WHERE e.clinic_id = draft.clinic_id AND e.id = draft.id)
     ON DUPLICATE KEY UPDATE label = VALUES(label), body = VALUES(body), saved_by = VALUES(saved_by),
       saved_at = VALUES(saved_at)`,
    [staff.clinicId, draft.id, draft.label, JSON.stringify(draft.body), staff.staffId, toDatabaseTime(at)],
  );
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
