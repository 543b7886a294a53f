import type { RowDataPacket } from "mysql2";
import type { DraftBody, DraftList } from "~/core/interchange/intake-contract";
import type { StaffContext } from "~/server/auth/staff-context";
import { fromDatabaseJson, fromDatabaseTime, toDatabaseTime, type Queryable } from "~/server/db/connection";

const keptAtMost = 30;

/** Keeps an intake that is being filled in; the same id again takes its place. */
export async function saveDraft(
  db: Queryable,
  staff: StaffContext,
  draft: DraftBody,
  at: string,
): Promise<void> {
  await db.execute(
    `INSERT INTO intake_drafts (clinic_id, id, label, body, saved_by, saved_at) VALUES (?, ?, ?, ?, ?, ?)
     ON DUPLICATE KEY UPDATE label = VALUES(label), body = VALUES(body), saved_by = VALUES(saved_by),
       saved_at = VALUES(saved_at)`,
    [staff.clinicId, draft.id, draft.label, JSON.stringify(draft.body), staff.staffId, toDatabaseTime(at)],
  );
}

/** The clinic's unfinished intakes, latest first. */
export async function listDrafts(db: Queryable, clinicId: string): Promise<DraftList["drafts"]> {
  const [rows] = await db.query<RowDataPacket[]>(
    "SELECT id, label, body, saved_at FROM intake_drafts WHERE clinic_id = ? ORDER BY saved_at DESC, id LIMIT ?",
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
  await db.execute("DELETE FROM intake_drafts WHERE clinic_id = ? AND id = ?", [clinicId, id]);
}
