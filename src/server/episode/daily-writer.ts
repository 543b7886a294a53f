import type {
  AttributionBody,
  DocumentBody,
  SignalBody,
  SignalClearanceBody,
} from "~/core/interchange/daily-contract";
import { toDatabaseTime, type Queryable } from "~/server/db/connection";
import type { Writing } from "./fact-writer";

/** Writers of the daily loop's facts; append only, like all facts. */
export async function insertSignal(db: Queryable, w: Writing, signal: SignalBody): Promise<void> {
  await db.execute(
    `INSERT INTO stop_signals
       (clinic_id, id, episode_id, code, item_id, note, occurred_at, received_at, recorded_by)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      w.clinicId,
      signal.id,
      w.episodeId,
      signal.code,
      signal.itemId ?? null,
      signal.note?.trim() || null,
      toDatabaseTime(w.at),
      toDatabaseTime(w.at),
      w.staffId,
    ],
  );
}

export async function insertSignalClearance(
  db: Queryable,
  w: Writing,
  clearance: SignalClearanceBody,
): Promise<void> {
  await db.execute(
    `INSERT INTO signal_clearances (clinic_id, id, episode_id, signal_id, reason, signed_by, at)
     VALUES (?, ?, ?, ?, ?, ?, ?)`,
    [
      w.clinicId,
      clearance.id,
      w.episodeId,
      clearance.signalId,
      clearance.reason.trim(),
      w.staffId,
      toDatabaseTime(w.at),
    ],
  );
}

export async function insertAttribution(db: Queryable, w: Writing, choice: AttributionBody): Promise<void> {
  await db.execute(
    `INSERT INTO flare_attributions (clinic_id, id, episode_id, training_date, item_id, reason, signed_by, at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      w.clinicId,
      choice.id,
      w.episodeId,
      choice.trainingDate,
      choice.itemId,
      choice.reason.trim(),
      w.staffId,
      toDatabaseTime(w.at),
    ],
  );
}

export async function insertDocument(db: Queryable, w: Writing, document: DocumentBody): Promise<void> {
  await db.execute(
    `INSERT INTO documents (clinic_id, id, episode_id, kind, body, proposed, signed_by, at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      w.clinicId,
      document.id,
      w.episodeId,
      document.kind,
      document.body,
      document.proposed,
      w.staffId,
      toDatabaseTime(w.at),
    ],
  );
}
