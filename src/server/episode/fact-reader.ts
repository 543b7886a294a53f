import type { RowDataPacket } from "mysql2";
import type { Circumstances } from "~/core/intake/intake";
import type { irritabilities } from "~/core/intake/irritability";
import type { StopSignalCode } from "~/core/intake/stop-signal";
import type { CaseFile, StageMove } from "~/core/case/case-file";
import type { ResultDetail } from "~/core/measure/measure";
import type { SetRecord } from "~/core/response/session-record";
import { fromDatabaseJson, fromDatabaseTime, type Queryable } from "~/server/db/connection";

/** Facts of one kind by episode. */
export type ByEpisode<T> = ReadonlyMap<string, T[]>;
type Row = RowDataPacket;
type Irritability = (typeof irritabilities)[number];

/** Reads one kind of fact for some episodes of a clinic, oldest first, with who wrote it. */
async function read<T>(
  db: Queryable,
  sql: string,
  parameters: readonly unknown[],
  toFact: (row: Row) => T,
): Promise<ByEpisode<T>> {
  const [rows] = await db.query<Row[]>(sql, parameters as unknown[]);
  const facts = new Map<string, T[]>();
  for (const row of rows) {
    const id = String(row["episode_id"]);
    const list = facts.get(id);
    if (list) list.push(toFact(row));
    else facts.set(id, [toFact(row)]);
  }
  return facts;
}

type Ids = readonly string[];

export const readStageMoves = (db: Queryable, clinicId: string, ids: Ids) =>
  read(
    db,
    `SELECT m.episode_id, m.id, m.stage, m.reason, m.kind, m.gate, m.at, s.name AS by_name
       FROM stage_moves m JOIN staff s ON s.clinic_id = m.clinic_id AND s.id = m.signed_by
      WHERE m.clinic_id = ? AND m.episode_id IN (?) ORDER BY m.at, m.id`,
    [clinicId, ids],
    (r) => ({
      id: r["id"],
      at: fromDatabaseTime(r["at"]),
      stage: r["stage"],
      reason: r["reason"],
      kind: r["kind"] as NonNullable<StageMove["kind"]>,
      ...(r["gate"] === null ? {} : { gate: fromDatabaseJson<NonNullable<StageMove["gate"]>>(r["gate"]) }),
      by: r["by_name"],
    }),
  );

export const readSchools = (db: Queryable, clinicId: string, ids: Ids) =>
  read(
    db,
    `SELECT t.episode_id, t.id, t.school, t.reason, t.at, s.name AS by_name
       FROM school_settings t JOIN staff s ON s.clinic_id = t.clinic_id AND s.id = t.set_by
      WHERE t.clinic_id = ? AND t.episode_id IN (?) ORDER BY t.at, t.id`,
    [clinicId, ids],
    (r) => ({
      id: r["id"],
      at: fromDatabaseTime(r["at"]),
      school: r["school"] as CaseFile["schools"][number]["school"],
      reason: r["reason"],
      by: r["by_name"],
    }),
  );

export const readPassings = (db: Queryable, clinicId: string, ids: Ids) =>
  read(
    db,
    `SELECT episode_id, id, passing, reason, at FROM passing_settings
      WHERE clinic_id = ? AND episode_id IN (?) ORDER BY at, id`,
    [clinicId, ids],
    (r) => ({
      id: String(r["id"]),
      at: fromDatabaseTime(r["at"]),
      passing: r["passing"] as "point" | "confident",
      reason: String(r["reason"]),
    }),
  );

export const readCircumstances = (db: Queryable, clinicId: string, ids: Ids) =>
  read(
    db,
    "SELECT episode_id, body, at FROM circumstances WHERE clinic_id = ? AND episode_id IN (?) ORDER BY at, id",
    [clinicId, ids],
    (r) => ({ at: fromDatabaseTime(r["at"]), circumstances: fromDatabaseJson<Circumstances>(r["body"]) }),
  );

export const readRestrictions = (db: Queryable, clinicId: string, ids: Ids) =>
  read(
    db,
    "SELECT episode_id, body FROM restrictions WHERE clinic_id = ? AND episode_id IN (?) ORDER BY at, id",
    [clinicId, ids],
    (r) => fromDatabaseJson<CaseFile["restrictions"][number]>(r["body"]),
  );

export const readItems = (db: Queryable, clinicId: string, ids: Ids) =>
  read(
    db,
    `SELECT i.episode_id, i.id, i.exercise_id, i.lane, e.at AS ended_at
       FROM plan_items i
       LEFT JOIN item_endings e
         ON e.clinic_id = i.clinic_id AND e.episode_id = i.episode_id AND e.item_id = i.id
      WHERE i.clinic_id = ? AND i.episode_id IN (?) ORDER BY i.position, i.id`,
    [clinicId, ids],
    (r) => ({
      id: r["id"],
      exerciseId: r["exercise_id"],
      lane: r["lane"] as CaseFile["items"][number]["lane"],
      ...(r["ended_at"] === null ? {} : { endedAt: fromDatabaseTime(r["ended_at"]) }),
    }),
  );

export const readPrescriptions = (db: Queryable, clinicId: string, ids: Ids) =>
  read(
    db,
    `SELECT episode_id, item_id, id, body, at FROM prescriptions
      WHERE clinic_id = ? AND episode_id IN (?) ORDER BY at, id`,
    [clinicId, ids],
    (r) => ({
      itemId: r["item_id"],
      id: r["id"],
      from: fromDatabaseTime(r["at"]),
      prescription: fromDatabaseJson<CaseFile["items"][number]["prescriptions"][number]["prescription"]>(
        r["body"],
      ),
    }),
  );

export const readSessions = (db: Queryable, clinicId: string, ids: Ids) =>
  read(
    db,
    `SELECT t.episode_id, t.id, t.occurred_at, t.received_at, t.supersedes, t.pain_before, t.minutes, t.other_load,
            s.name AS by_name
       FROM sessions t JOIN staff s ON s.clinic_id = t.clinic_id AND s.id = t.recorded_by
      WHERE t.clinic_id = ? AND t.episode_id IN (?) ORDER BY t.occurred_at, t.id`,
    [clinicId, ids],
    (r) => ({
      id: String(r["id"]),
      at: fromDatabaseTime(r["occurred_at"]),
      receivedAt: fromDatabaseTime(r["received_at"]),
      ...(r["supersedes"] === null ? {} : { supersedes: String(r["supersedes"]) }),
      painBefore: Number(r["pain_before"]),
      ...(r["minutes"] === null ? {} : { minutes: Number(r["minutes"]) }),
      ...(r["other_load"] === null ? {} : { otherLoad: r["other_load"] as "none" | "some" | "much" }),
      by: r["by_name"],
    }),
  );

export const readSets = (db: Queryable, clinicId: string, ids: Ids) =>
  read(
    db,
    `SELECT t.episode_id, x.session_id, x.item_id, x.body
       FROM sessions t JOIN session_sets x ON x.clinic_id = t.clinic_id AND x.session_id = t.id
      WHERE t.clinic_id = ? AND t.episode_id IN (?) ORDER BY x.session_id, x.position`,
    [clinicId, ids],
    (r) => ({
      sessionId: String(r["session_id"]),
      itemId: String(r["item_id"]),
      set: fromDatabaseJson<SetRecord>(r["body"]),
    }),
  );

export const readReports = (db: Queryable, clinicId: string, ids: Ids) =>
  read(
    db,
    `SELECT t.episode_id, t.id, t.training_date, t.received_at, t.pain, t.stiffness_minutes, t.swelling,
            t.settled_hours, t.load_test_pain, t.other_load, s.name AS by_name
       FROM next_day_reports t JOIN staff s ON s.clinic_id = t.clinic_id AND s.id = t.recorded_by
      WHERE t.clinic_id = ? AND t.episode_id IN (?) ORDER BY t.received_at, t.id`,
    [clinicId, ids],
    (r) => ({
      id: String(r["id"]),
      trainingDate: String(r["training_date"]),
      receivedAt: fromDatabaseTime(r["received_at"]),
      pain: Number(r["pain"]),
      ...(r["stiffness_minutes"] === null ? {} : { stiffnessMinutes: Number(r["stiffness_minutes"]) }),
      ...(r["swelling"] === null ? {} : { swelling: r["swelling"] as "less" | "same" | "more" }),
      ...(r["settled_hours"] === null ? {} : { settledHours: Number(r["settled_hours"]) }),
      ...(r["load_test_pain"] === null ? {} : { loadTestPain: Number(r["load_test_pain"]) }),
      ...(r["other_load"] === null ? {} : { otherLoad: r["other_load"] as "none" | "some" | "much" }),
      by: r["by_name"],
    }),
  );

export const readResults = (db: Queryable, clinicId: string, ids: Ids) =>
  read(
    db,
    `SELECT t.episode_id, t.id, t.measure, t.side, t.value, t.taken_on, t.occasion, t.way, t.trials,
            t.detail, t.supersedes, t.recorded_at, s.name AS by_name
       FROM measure_results t JOIN staff s ON s.clinic_id = t.clinic_id AND s.id = t.recorded_by
      WHERE t.clinic_id = ? AND t.episode_id IN (?) ORDER BY t.taken_on, t.recorded_at, t.measure, t.side, t.id`,
    [clinicId, ids],
    (r) => ({
      id: String(r["id"]),
      measure: String(r["measure"]),
      side: r["side"] as "left" | "right" | "none",
      value: Number(r["value"]),
      takenOn: String(r["taken_on"]),
      occasion: r["occasion"] as CaseFile["results"][number]["occasion"],
      ...(r["way"] === null ? {} : { position: String(r["way"]) }),
      ...(r["trials"] === null ? {} : { trials: fromDatabaseJson<number[]>(r["trials"]) }),
      ...(r["detail"] === null ? {} : { detail: fromDatabaseJson<ResultDetail>(r["detail"]) }),
      ...(r["supersedes"] === null ? {} : { supersedes: String(r["supersedes"]) }),
      recordedAt: fromDatabaseTime(r["recorded_at"]),
      by: r["by_name"],
    }),
  );

export const readDecisions = (db: Queryable, clinicId: string, ids: Ids) =>
  read(
    db,
    `SELECT d.episode_id, d.id, d.item_id, d.at, d.action, d.reason, d.school, d.proposal, d.applied, d.signed_change,
            s.name AS by_name
       FROM decisions d JOIN staff s ON s.clinic_id = d.clinic_id AND s.id = d.signed_by
      WHERE d.clinic_id = ? AND d.episode_id IN (?) ORDER BY d.at, d.id`,
    [clinicId, ids],
    (r): CaseFile["decisions"][number] => ({
      id: r["id"],
      itemId: r["item_id"],
      at: fromDatabaseTime(r["at"]),
      action: r["action"],
      signedBy: r["by_name"],
      reason: r["reason"],
      school: r["school"],
      proposal: fromDatabaseJson(r["proposal"]),
      applied: r["applied"] === null ? null : fromDatabaseJson(r["applied"]),
      signedChange: r["signed_change"] === null ? null : fromDatabaseJson(r["signed_change"]),
    }),
  );

export const readClearances = (db: Queryable, clinicId: string, ids: Ids) =>
  read(
    db,
    `SELECT t.episode_id, t.id, t.item_id, t.reason, t.at, s.name AS by_name
       FROM clearances t JOIN staff s ON s.clinic_id = t.clinic_id AND s.id = t.signed_by
      WHERE t.clinic_id = ? AND t.episode_id IN (?) ORDER BY t.at, t.id`,
    [clinicId, ids],
    (r) => ({
      id: r["id"],
      itemId: r["item_id"],
      at: fromDatabaseTime(r["at"]),
      reason: r["reason"],
      by: r["by_name"],
    }),
  );

export const readIrritabilities = (db: Queryable, clinicId: string, ids: Ids) =>
  read(
    db,
    `SELECT episode_id, JSON_UNQUOTE(JSON_EXTRACT(body, '$.irritability')) AS irritability FROM intakes
      WHERE clinic_id = ? AND episode_id IN (?) ORDER BY at, id`,
    [clinicId, ids],
    (r) => r["irritability"] as Irritability,
  );

export const readSignals = (db: Queryable, clinicId: string, ids: Ids) =>
  read(
    db,
    `SELECT t.episode_id, t.id, t.code, t.item_id, t.note, t.received_at, s.name AS by_name,
            c.at AS cleared_at, c.reason AS cleared_reason, cs.name AS cleared_by
       FROM stop_signals t
       JOIN staff s ON s.clinic_id = t.clinic_id AND s.id = t.recorded_by
       LEFT JOIN signal_clearances c
         ON c.clinic_id = t.clinic_id AND c.episode_id = t.episode_id AND c.signal_id = t.id
       LEFT JOIN staff cs ON cs.clinic_id = c.clinic_id AND cs.id = c.signed_by
      WHERE t.clinic_id = ? AND t.episode_id IN (?) ORDER BY t.received_at, t.id`,
    [clinicId, ids],
    (r) => ({
      id: String(r["id"]),
      code: r["code"] as StopSignalCode,
      at: fromDatabaseTime(r["received_at"]),
      ...(r["item_id"] === null ? {} : { itemId: String(r["item_id"]) }),
      ...(r["note"] === null ? {} : { note: String(r["note"]) }),
      ...(r["cleared_at"] === null
        ? {}
        : { cleared: { at: fromDatabaseTime(r["cleared_at"]), reason: String(r["cleared_reason"]) } }),
      by: String(r["by_name"]),
      clearedBy: r["cleared_by"] === null ? null : String(r["cleared_by"]),
    }),
  );

export const readAttributions = (db: Queryable, clinicId: string, ids: Ids) =>
  read(
    db,
    `SELECT t.episode_id, t.id, t.training_date, t.item_id, t.reason, t.at, s.name AS by_name
       FROM flare_attributions t JOIN staff s ON s.clinic_id = t.clinic_id AND s.id = t.signed_by
      WHERE t.clinic_id = ? AND t.episode_id IN (?) ORDER BY t.at, t.id`,
    [clinicId, ids],
    (r) => ({
      id: String(r["id"]),
      at: fromDatabaseTime(r["at"]),
      trainingDate: String(r["training_date"]),
      itemId: String(r["item_id"]),
      reason: String(r["reason"]),
      by: String(r["by_name"]),
    }),
  );

/** Signed notes and letters, without the text that was proposed for them. */
export const readDocuments = (db: Queryable, clinicId: string, ids: Ids) =>
  read(
    db,
    `SELECT t.episode_id, t.id, t.kind, t.body, t.at, s.name AS by_name
       FROM documents t JOIN staff s ON s.clinic_id = t.clinic_id AND s.id = t.signed_by
      WHERE t.clinic_id = ? AND t.episode_id IN (?) ORDER BY t.at, t.id`,
    [clinicId, ids],
    (r) => ({
      id: String(r["id"]),
      at: fromDatabaseTime(r["at"]),
      kind: r["kind"] as "visit-note" | "handover-letter",
      body: String(r["body"]),
      by: String(r["by_name"]),
    }),
  );
