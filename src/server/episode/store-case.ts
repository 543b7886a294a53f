import { v7 as uuid } from "uuid";
import type { CaseFile } from "~/core/case/case-file";
import type { Queryable } from "~/server/db/connection";
import { attachDefinitions, storeDefinition } from "./definition-repository";
import { insertEpisode, insertPerson } from "./episode-repository";
import * as daily from "./daily-writer";
import * as write from "./fact-writer";

export interface CasePerson {
  readonly id: string;
  readonly givenName: string;
  readonly familyName: string;
  readonly bornOn: string;
  readonly activity: string;
}

/**
 * Stores a whole case as a new episode of a person: definitions first, then every fact with the time it bears.
 * The ids of the case become the ids of the rows.
 */
export async function storeCase(
  db: Queryable,
  staff: { clinicId: string; staffId: string },
  person: CasePerson,
  file: CaseFile,
  about: { region: string; diagnosis: string; targetOn?: string },
): Promise<void> {
  const { clinicId, staffId } = staff;
  const { episode } = file;
  const store = (kind: "pathway" | "exercise" | "measure", code: string, body: object) =>
    storeDefinition(db, clinicId, { kind, code, body }, episode.startedAt);

  await insertPerson(db, clinicId, { ...person, at: episode.startedAt });
  const pathwayHash = await store("pathway", file.pathway.code, file.pathway);
  const hashes = [pathwayHash];
  for (const exercise of file.exercises) hashes.push(await store("exercise", exercise.id, exercise));
  for (const measure of file.measures) hashes.push(await store("measure", measure.code, measure));
  await insertEpisode(db, clinicId, { ...episode, ...about, personId: person.id, pathwayHash });
  await attachDefinitions(db, clinicId, episode.id, hashes);

  const at = (instant: string): write.Writing => ({ clinicId, staffId, episodeId: episode.id, at: instant });
  for (const move of file.stageMoves) await write.insertStageMove(db, at(move.at), move);
  for (const school of file.schools) await write.insertSchool(db, at(school.at), school);
  for (const body of file.restrictions)
    await write.insertRestriction(db, at(episode.startedAt), uuid(), body);
  for (const [position, item] of file.items.entries()) {
    const first = item.prescriptions[0]?.from ?? episode.startedAt;
    await write.insertItem(db, at(first), { ...item, position });
  }
  for (const session of file.sessions) {
    await write.insertSession(db, at(session.at), { ...session, occurredAt: session.at });
  }
  for (const report of file.reports) await write.insertReport(db, at(report.receivedAt), report);
  for (const result of file.results) {
    await write.insertResult(db, at(`${result.takenOn}T10:00:00Z`), result);
  }
  for (const [n, decision] of file.decisions.entries()) {
    await write.insertDecision(db, at(decision.at), { ...decision, episodeVersion: n + 1 });
  }
  const decided = new Map(file.decisions.map((d) => [`${d.itemId} ${d.at}`, d.id]));
  for (const item of file.items) {
    for (const { id, from, prescription } of item.prescriptions) {
      const decisionId = decided.get(`${item.id} ${from}`) ?? null;
      await write.insertPrescription(db, at(from), { id, itemId: item.id, decisionId, prescription });
    }
  }
  for (const { id: itemId, endedAt } of file.items) {
    if (endedAt === undefined) continue;
    await write.insertItemEnding(db, at(endedAt), { id: uuid(), itemId, reason: "Left the plan" });
  }
  for (const { cleared, at: raisedAt, ...signal } of file.signals ?? []) {
    await daily.insertSignal(db, at(raisedAt), signal);
    if (cleared) {
      const clearance = { id: uuid(), signalId: signal.id, reason: cleared.reason };
      await daily.insertSignalClearance(db, at(cleared.at), clearance);
    }
  }
  for (const choice of file.attributions ?? []) await daily.insertAttribution(db, at(choice.at), choice);
  for (const clearance of file.clearances) await write.insertClearance(db, at(clearance.at), clearance);
}
