import type { RowDataPacket } from "mysql2";
import type { KeptSessionDraft, SessionDraftBody } from "~/contract/daily";
import type { StaffContext } from "~/server/staff-context";
import { fromDatabaseJson, fromDatabaseTime, toDatabaseTime, type Queryable } from "~/server/db/connection";

/**
 * Keeps a session that is being recorded, one for each episode; a later save takes its place. One that has been recorded
 * is over: a save that was still on its way keeps nothing.
 */
export async function saveSessionDraft(
  db: Queryable,
  staff: StaffContext,
  episodeId: string,
  draft: SessionDraftBody,
  at: string,
): Promise<void> {
  await db.execute(
    `INSERT INTO session_drafts (clinic_id, episode_id, id, body, saved_by, saved_at)
     SELECT * FROM (SELECT ? AS clinic_id, ? AS episode_id, ? AS id, ? AS body, ? AS saved_by, ? AS saved_at) AS draft
      WHERE NOT EXISTS (SELECT 1 FROM sessions s WHERE s.clinic_id = draft.clinic_id AND s.id = draft.id)
     ON DUPLICATE KEY UPDATE id = VALUES(id), body = VALUES(body), saved_by = VALUES(saved_by),
       saved_at = VALUES(saved_at)`,
    [staff.clinicId, episodeId, draft.id, JSON.stringify(draft.body), staff.staffId, toDatabaseTime(at)],
  );
}

/** The unfinished session of an episode, whoever began it, or null; one that was recorded is not unfinished. */
export async function findSessionDraft(
  db: Queryable,
  clinicId: string,
  episodeId: string,
): Promise<KeptSessionDraft["draft"]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT d.id, d.body, d.saved_at, s.name AS by_name
       FROM session_drafts d JOIN staff s ON s.clinic_id = d.clinic_id AND s.id = d.saved_by
      WHERE d.clinic_id = ? AND d.episode_id = ?
        AND NOT EXISTS (SELECT 1 FROM sessions r WHERE r.clinic_id = d.clinic_id AND r.id = d.id)`,
    [clinicId, episodeId],
  );
  const row = rows[0];
  if (!row) return null;
  return {
    id: String(row["id"]),
    body: fromDatabaseJson<Record<string, unknown>>(row["body"]),
    savedAt: fromDatabaseTime(row["saved_at"]),
    by: String(row["by_name"]),
  };
}

/** Drops the draft of an episode when it is this one. */
export async function dropSessionDraft(
  db: Queryable,
  clinicId: string,
  episodeId: string,
  id: string,
): Promise<void> {
  await db.execute(
    `DELETE d FROM session_drafts d FORCE INDEX (PRIMARY)
      WHERE d.clinic_id = ? AND d.episode_id = ? AND d.id = ?`,
    [clinicId, episodeId, id],
  );
}
