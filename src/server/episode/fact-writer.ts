import type { SessionBody, ReportBody } from "~/core/interchange/contract";
import type { Circumstances } from "~/core/intake/intake";
import type { StageMove } from "~/core/case/case-file";
import type { Change } from "~/core/progression/change";
import type { Prescription } from "~/core/progression/prescription";
import type { Proposal, SignedChange } from "~/core/decision/decide-input";
import type { Restriction } from "~/core/progression/restriction";
import type { MeasureResult } from "~/core/measure/measure";
import type { RowDataPacket } from "mysql2";
import { toDatabaseTime, type Queryable } from "~/server/db/connection";

/** Who writes a fact into which episode, and when. */
export interface Writing {
  readonly clinicId: string;
  readonly episodeId: string;
  readonly staffId: string;
  readonly at: string;
}

/** Tables whose rows carry an id made by the client. */
export type FactTable =
  | "sessions"
  | "next_day_reports"
  | "decisions"
  | "school_settings"
  | "clearances"
  | "plan_items"
  | "measure_visits"
  | "stage_moves"
  | "passing_settings"
  | "circumstances"
  | "item_endings"
  | "stop_signals"
  | "signal_clearances"
  | "flare_attributions"
  | "documents";

/** The episode a fact with this client-made id already belongs to, or null when there is none in the clinic. */
export async function episodeOfFact(
  db: Queryable,
  table: FactTable,
  clinicId: string,
  id: string,
): Promise<string | null> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT episode_id FROM ${table} WHERE clinic_id = ? AND id = ?`,
    [clinicId, id],
  );
  return rows[0] ? String(rows[0]["episode_id"]) : null;
}

/** Writes a session with its sets, those of unplanned exercises last. */
export async function insertSession(db: Queryable, w: Writing, session: SessionBody): Promise<void> {
  await db.execute(
    `INSERT INTO sessions
       (clinic_id, id, episode_id, occurred_at, received_at, pain_before, minutes, other_load, supersedes, recorded_by)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      w.clinicId,
      session.id,
      w.episodeId,
      toDatabaseTime(session.occurredAt),
      toDatabaseTime(w.at),
      session.painBefore,
      session.minutes ?? null,
      session.otherLoad ?? null,
      session.supersedes ?? null,
      w.staffId,
    ],
  );
  const worked = [...session.items, ...(session.unplanned ?? [])];
  const sets = worked.flatMap(({ itemId, sets: done }) => done.map((set) => ({ itemId, set })));
  await db.query(
    "INSERT INTO session_sets (clinic_id, session_id, position, item_id, pain_during, body) VALUES ?",
    [
      sets.map(({ itemId, set }, position) => [
        w.clinicId,
        session.id,
        position,
        itemId,
        set.painDuring,
        JSON.stringify(set),
      ]),
    ],
  );
}

export async function insertReport(db: Queryable, w: Writing, report: ReportBody): Promise<void> {
  await db.execute(
    `INSERT INTO next_day_reports
       (clinic_id, id, episode_id, training_date, occurred_at, received_at, pain, stiffness_minutes, swelling,
        settled_hours, load_test_pain, other_load, recorded_by)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      w.clinicId,
      report.id,
      w.episodeId,
      report.trainingDate,
      toDatabaseTime(w.at),
      toDatabaseTime(w.at),
      report.pain,
      report.stiffnessMinutes ?? null,
      report.swelling ?? null,
      report.settledHours ?? null,
      report.loadTestPain ?? null,
      report.otherLoad ?? null,
      w.staffId,
    ],
  );
}

export interface NewDecision {
  readonly id: string;
  readonly itemId: string;
  readonly action: "accept" | "change" | "refuse";
  readonly reason: string | null;
  readonly school: string;
  readonly proposal: Proposal;
  readonly applied: Change | null;
  readonly signedChange: SignedChange | null;
  readonly episodeVersion: number;
}

export async function insertDecision(db: Queryable, w: Writing, decision: NewDecision): Promise<void> {
  const json = (value: object | null) => (value === null ? null : JSON.stringify(value));
  await db.execute(
    `INSERT INTO decisions
       (clinic_id, id, episode_id, item_id, action, reason, school, engine_version, proposal, applied, signed_change,
        episode_version, signed_by, at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      w.clinicId,
      decision.id,
      w.episodeId,
      decision.itemId,
      decision.action,
      decision.reason,
      decision.school,
      decision.proposal.engineVersion,
      json(decision.proposal),
      json(decision.applied),
      json(decision.signedChange),
      decision.episodeVersion,
      w.staffId,
      toDatabaseTime(w.at),
    ],
  );
}

export async function insertPrescription(
  db: Queryable,
  w: Writing,
  entry: { id: string; itemId: string; decisionId: string | null; prescription: Prescription },
): Promise<void> {
  await db.execute(
    `INSERT INTO prescriptions (clinic_id, id, episode_id, item_id, decision_id, body, signed_by, at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      w.clinicId,
      entry.id,
      w.episodeId,
      entry.itemId,
      entry.decisionId,
      JSON.stringify(entry.prescription),
      w.staffId,
      toDatabaseTime(w.at),
    ],
  );
}

export async function insertItem(
  db: Queryable,
  w: Writing,
  item: { id: string; exerciseId: string; lane: string; position: number },
): Promise<void> {
  await db.execute(
    `INSERT INTO plan_items (clinic_id, id, episode_id, exercise_id, lane, position, created_at)
     VALUES (?, ?, ?, ?, ?, ?, ?)`,
    [w.clinicId, item.id, w.episodeId, item.exerciseId, item.lane, item.position, toDatabaseTime(w.at)],
  );
}

export async function insertItemEnding(
  db: Queryable,
  w: Writing,
  ending: { id: string; itemId: string; reason: string },
): Promise<void> {
  await db.execute(
    `INSERT INTO item_endings (clinic_id, id, episode_id, item_id, reason, signed_by, at)
     VALUES (?, ?, ?, ?, ?, ?, ?)`,
    [w.clinicId, ending.id, w.episodeId, ending.itemId, ending.reason, w.staffId, toDatabaseTime(w.at)],
  );
}

export async function insertSchool(
  db: Queryable,
  w: Writing,
  setting: { id: string; school: string; reason: string },
): Promise<void> {
  await db.execute(
    `INSERT INTO school_settings (clinic_id, id, episode_id, school, reason, set_by, at)
     VALUES (?, ?, ?, ?, ?, ?, ?)`,
    [w.clinicId, setting.id, w.episodeId, setting.school, setting.reason, w.staffId, toDatabaseTime(w.at)],
  );
}

export async function insertCircumstances(
  db: Queryable,
  w: Writing,
  entry: { id: string; circumstances: Circumstances; reason: string },
): Promise<void> {
  await db.execute(
    `INSERT INTO circumstances (clinic_id, id, episode_id, body, reason, signed_by, at) VALUES (?, ?, ?, ?, ?, ?, ?)`,
    [
      w.clinicId,
      entry.id,
      w.episodeId,
      JSON.stringify(entry.circumstances),
      entry.reason.trim(),
      w.staffId,
      toDatabaseTime(w.at),
    ],
  );
}

export async function insertPassing(
  db: Queryable,
  w: Writing,
  setting: { id: string; passing: string; reason: string },
): Promise<void> {
  await db.execute(
    `INSERT INTO passing_settings (clinic_id, id, episode_id, passing, reason, set_by, at)
     VALUES (?, ?, ?, ?, ?, ?, ?)`,
    [
      w.clinicId,
      setting.id,
      w.episodeId,
      setting.passing,
      setting.reason.trim(),
      w.staffId,
      toDatabaseTime(w.at),
    ],
  );
}

export async function insertStageMove(
  db: Queryable,
  w: Writing,
  move: Pick<StageMove, "id" | "stage" | "reason" | "kind" | "gate">,
): Promise<void> {
  await db.execute(
    `INSERT INTO stage_moves (clinic_id, id, episode_id, stage, reason, kind, gate, signed_by, at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      w.clinicId,
      move.id,
      w.episodeId,
      move.stage,
      move.reason,
      move.kind ?? "place",
      move.gate ? JSON.stringify(move.gate) : null,
      w.staffId,
      toDatabaseTime(w.at),
    ],
  );
}

export async function insertClearance(
  db: Queryable,
  w: Writing,
  clearance: { id: string; itemId: string; reason: string },
): Promise<void> {
  await db.execute(
    `INSERT INTO clearances (clinic_id, id, episode_id, item_id, reason, signed_by, at)
     VALUES (?, ?, ?, ?, ?, ?, ?)`,
    [
      w.clinicId,
      clearance.id,
      w.episodeId,
      clearance.itemId,
      clearance.reason,
      w.staffId,
      toDatabaseTime(w.at),
    ],
  );
}

export async function insertRestriction(
  db: Queryable,
  w: Writing,
  id: string,
  body: Restriction,
): Promise<void> {
  await db.execute(
    "INSERT INTO restrictions (clinic_id, id, episode_id, body, set_by, at) VALUES (?, ?, ?, ?, ?, ?)",
    [w.clinicId, id, w.episodeId, JSON.stringify(body), w.staffId, toDatabaseTime(w.at)],
  );
}

export async function insertVisit(
  db: Queryable,
  w: Writing,
  visit: { id: string; takenOn: string },
): Promise<void> {
  await db.execute(
    `INSERT INTO measure_visits (clinic_id, id, episode_id, taken_on, recorded_by, recorded_at)
     VALUES (?, ?, ?, ?, ?, ?)`,
    [w.clinicId, visit.id, w.episodeId, visit.takenOn, w.staffId, toDatabaseTime(w.at)],
  );
}

export async function insertResult(
  db: Queryable,
  w: Writing,
  result: MeasureResult,
  visitId: string | null = null,
): Promise<void> {
  const json = (value: object | undefined) => (value === undefined ? null : JSON.stringify(value));
  await db.execute(
    `INSERT INTO measure_results
       (clinic_id, id, episode_id, measure, side, value, taken_on, occasion, way, visit_id, trials, detail, supersedes,
        recorded_by, recorded_at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      w.clinicId,
      result.id,
      w.episodeId,
      result.measure,
      result.side,
      result.value,
      result.takenOn,
      result.occasion,
      result.position ?? null,
      visitId,
      json(result.trials),
      json(result.detail),
      result.supersedes ?? null,
      w.staffId,
      toDatabaseTime(w.at),
    ],
  );
}
