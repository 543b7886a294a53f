import { recordingRoles, signingRoles } from "~/contract/roles";
import { conditionByCode } from "~/catalogue/conditions/all";
import { proceduresOf } from "~/catalogue/procedures/all";
import type { RecordEntry, RecordQuery, RecordView } from "~/contract/record";
import { doneTwice } from "~/core/case/done-twice";
import { standingResults } from "~/core/measure/measure";
import { isVoided, type VoidedKind } from "~/core/schema/voided";
import { isLateReport } from "~/core/response/training-day-state";
import { arrangedItems } from "~/core/case/arranged";
import { itemNames, type NamedItem } from "~/messages/item-names";
import { prescriptionInForce, schoolInForce } from "~/core/case/in-force";
import { exerciseName } from "~/server/case/exercise-name";
import { patientName } from "~/server/case/patient-name";
import type { StaffContext } from "~/server/staff-context";
import { phoneEntries } from "./phone-entries";
import { recordPage } from "./record-page";
import { pool } from "~/server/db/connection";
import { documents as documentFacts } from "~/server/facts/documents";
import { readFacts } from "~/server/facts/sql";
import { signalsOf, type LoadedCase } from "~/server/case/make-case";
import { loadEpisode, noteRead } from "~/server/case/load-episode";

/** The record of an episode, newest first: what was done, reported, measured, decided, and by whom; whole, or a part of it. */
export async function readRecord(
  staff: StaffContext,
  id: string,
  query: RecordQuery = {},
): Promise<RecordView> {
  const loaded = await loadEpisode(staff, id);
  await noteRead(staff, id, "read-record");
  return recordView(staff, loaded, query);
}

/** The record of a case that is loaded already. */
export async function recordView(
  staff: StaffContext,
  loaded: LoadedCase,
  query: RecordQuery = {},
): Promise<RecordView> {
  const { head, file } = loaded;
  const names = itemNames(everyItem(file));
  const documents = (await readFacts(pool(), documentFacts, staff.clinicId, [head.id])).get(head.id) ?? [];
  const all = [
    ...entries(loaded),
    ...(await phoneEntries(staff.clinicId, head.id)),
    ...documents.map(({ id: documentId, at, by, kind, body }): RecordEntry => ({
      kind: "document",
      id: documentId,
      at,
      by,
      document: kind,
      body,
      voided: voidedBy(loaded, "document", documentId),
    })),
  ];
  return {
    episodeId: head.id,
    zone: file.zone,
    involvedSide: file.episode.involvedSide,
    person: { ...patientName(loaded), activity: head.person.activity },
    items: everyItem(file).map(({ itemId, exercise, prescription: { dose } }) => ({
      itemId,
      name: names.get(itemId) ?? exercise.name,
      exercise,
      dose,
    })),
    ...recordPage(
      all.sort((a, b) => Date.parse(b.at) - Date.parse(a.at)),
      query,
    ),
    school: schoolInForce(file),
    mayRecord: recordingRoles.includes(staff.role),
    maySign: signingRoles.includes(staff.role),
  };
}

/** Everything that was ever in the plan, as it was prescribed last. */
function everyItem(file: LoadedCase["file"]): NamedItem[] {
  const roles = new Map(arrangedItems(file).map(({ item, role }) => [item.id, role]));
  return file.items.flatMap((item) => {
    const exercise = file.exercises.find(({ id }) => id === item.exerciseId);
    const { prescription } = prescriptionInForce(item, file.asOf);
    const role = roles.get(item.id) ?? item.role ?? "main";
    return exercise ? [{ itemId: item.id, exercise, prescription, role }] : [];
  });
}

function entries(loaded: LoadedCase): RecordEntry[] {
  const { file, parts } = loaded;
  const by = new Map(parts.sessions.map((session) => [session.id, session.by]));
  const valid = file.sessions.filter((session) => !isVoided(session));
  const corrected = new Set(valid.map((session) => session.supersedes));
  const twice = doneTwice(file, loaded.days());
  const lastReports = new Map(
    parts.reports.filter(({ id }) => !voidedBy(loaded, "report", id)).map((r) => [r.trainingDate, r.id]),
  );
  const ends = new Map(loaded.days().map(({ date, lastSessionAt }) => [date, lastSessionAt]));
  return [
    ...file.sessions.map((s): RecordEntry => ({
      kind: "session",
      at: s.at,
      by: by.get(s.id) ?? "",
      session: s,
      corrected: corrected.has(s.id),
      voided: voidedBy(loaded, "session", s.id),
      alsoIn: twice.filter(({ sessionId }) => sessionId === s.id).map(({ itemId, at }) => ({ itemId, at })),
    })),
    ...parts.reports.map((r): RecordEntry => ({
      kind: "report",
      id: r.id,
      at: r.receivedAt,
      by: r.by,
      trainingDate: r.trainingDate,
      pain: r.pain,
      stiffnessMinutes: r.stiffnessMinutes ?? null,
      swelling: r.swelling ?? null,
      settledHours: r.settledHours ?? null,
      loadTestPain: r.loadTestPain ?? null,
      otherLoad: r.otherLoad ?? null,
      late: isLateReport({ lastSessionAt: ends.get(r.trainingDate) ?? r.receivedAt, report: r }),
      corrected: (lastReports.get(r.trainingDate) ?? r.id) !== r.id,
      voided: voidedBy(loaded, "report", r.id),
    })),
    ...file.decisions.map((d): RecordEntry => ({ kind: "decision", at: d.at, by: d.signedBy, decision: d })),
    ...parts.stageMoves.map((m): RecordEntry => ({
      kind: "stage",
      at: m.at,
      by: m.by,
      stageName: file.pathway.stages.find((stage) => stage.code === m.stage)?.name ?? m.stage,
      reason: m.reason,
    })),
    ...parts.turns.map(({ at, by: who, kind, reason, summary }): RecordEntry => ({
      kind: "turn",
      at,
      by: who,
      turn: kind,
      reason,
      summary: summary ?? null,
    })),
    ...parts.schools.map(({ at, by: who, school, reason }): RecordEntry => ({
      kind: "school",
      at,
      by: who,
      school,
      reason,
    })),
    ...parts.passings.map(({ at, by: who, passing, reason }): RecordEntry => ({
      kind: "passing",
      at,
      by: who,
      passing,
      reason,
    })),
    ...parts.clearances.map(({ at, by: who, itemId, reason }): RecordEntry => ({
      kind: "clearance",
      at,
      by: who,
      itemId,
      reason,
    })),
    ...parts.events.map((event): RecordEntry => ({
      kind: "event",
      at: event.at,
      by: event.by,
      event: event.kind,
      on: event.on,
      procedures: proceduresOf(event.procedures ?? []).map(({ name }) => name),
      graft: event.graft ?? null,
      corrects: event.supersedes !== undefined,
      withdrawn: event.withdrawn ?? false,
      reason: event.reason,
    })),
    ...parts.conditionChanges.map(({ at, by: who, code, present, reason }): RecordEntry => ({
      kind: "condition",
      at,
      by: who,
      asks: conditionByCode(code).asks,
      present,
      reason,
    })),
    ...parts.criterionWords.map(({ at, by: who, stage, criterion, reason }): RecordEntry => ({
      kind: "word",
      at,
      by: who,
      criterion: criterionName(file, stage, criterion),
      reason,
    })),
    ...planActs(loaded),
    ...visits(loaded),
    ...signalsOf(parts).map(({ at, by: who, code, itemId, note, cleared, clearedBy }): RecordEntry => ({
      kind: "signal",
      at,
      by: who,
      code,
      exercise: exerciseName(file, itemId),
      note: note ?? null,
      cleared: cleared ? { ...cleared, by: clearedBy ?? "" } : null,
    })),
    ...parts.attributions.map(({ at, by: who, trainingDate, itemId, reason }): RecordEntry => ({
      kind: "suspect",
      at,
      by: who,
      trainingDate,
      itemId,
      reason,
    })),
  ];
}

/**
 * What came into the plan after it was begun, what left it and what was put back; not what a session brought along that was never
 * planned: that came and went in one act, and is told with the session.
 */
function planActs({ head, file, parts }: LoadedCase): RecordEntry[] {
  const nameOf = (itemId: string) => exerciseName(file, itemId) ?? "";
  const created = new Map(parts.items.map(({ id, createdAt }) => [id, createdAt]));
  const planned = parts.endings.filter(({ itemId, at }) => created.get(itemId) !== at);
  const unplanned = new Set(
    parts.endings.filter((ending) => !planned.includes(ending)).map(({ itemId }) => itemId),
  );
  const firstSigned = new Map(parts.prescriptions.toReversed().map(({ itemId, by }) => [itemId, by]));
  const endingOf = new Map(parts.endings.map((ending) => [ending.id, ending]));
  return [
    ...parts.items
      .filter(({ id, createdAt }) => createdAt !== head.startedAt && !unplanned.has(id))
      .map(({ id, createdAt, againstReason }): RecordEntry => ({
        kind: "plan",
        at: createdAt,
        by: firstSigned.get(id) ?? "",
        act: "put-in",
        exercise: nameOf(id),
        reason: againstReason ?? null,
      })),
    ...planned.map(({ itemId, at, by, reason }): RecordEntry => ({
      kind: "plan",
      at,
      by,
      act: "taken-out",
      exercise: nameOf(itemId),
      reason,
    })),
    ...parts.returns.map(({ endingId, at, by }): RecordEntry => ({
      kind: "plan",
      at,
      by,
      act: "put-back",
      exercise: nameOf(endingOf.get(endingId)?.itemId ?? ""),
      reason: null,
    })),
  ];
}

/** Who voided something, when and why; null while it stands. */
function voidedBy({ parts }: LoadedCase, kind: VoidedKind, id: string) {
  const found = parts.voidings.find((voiding) => voiding.kind === kind && voiding.targetId === id);
  return found ? { at: found.at, by: found.by, reason: found.reason } : null;
}

/** What a criterion of a stage's gate is called. */
function criterionName({ pathway }: LoadedCase["file"], stage: string, id: string): string {
  const gate = pathway.stages.find(({ code }) => code === stage)?.gate;
  return gate?.criteria.find((criterion) => criterion.id === id)?.name ?? id;
}

/** Results taken on one day by one person, as one entry. */
function visits(loaded: LoadedCase): RecordEntry[] {
  const { file, parts } = loaded;
  const standing = new Set(standingResults(file.results).map(({ id }) => id));
  const keys = [...new Set(parts.results.map((r) => `${r.recordedAt}|${r.by}`))];
  return keys.map((key): RecordEntry => {
    const results = parts.results.filter((r) => `${r.recordedAt}|${r.by}` === key);
    return {
      kind: "measures",
      at: results[0]?.recordedAt ?? file.asOf,
      by: results[0]?.by ?? "",
      results: results.map((r) => {
        const measure = file.measures.find((m) => m.code === r.measure);
        const voided = voidedBy(loaded, "result", r.id);
        return {
          result: file.results.find(({ id }) => id === r.id) ?? r,
          name: measure?.name ?? r.measure,
          unit: measure?.unit ?? "1",
          corrected: !voided && !standing.has(r.id),
          voided,
        };
      }),
    };
  });
}
