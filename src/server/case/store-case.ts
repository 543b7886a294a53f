import type { CaseFile } from "~/core/case/case-file";
import type { Queryable } from "~/server/db/connection";
import { factNames, facts } from "~/server/facts/all";
import type { FactDefinition } from "~/server/facts/fact";
import { appendFacts } from "~/server/facts/sql";
import { writeAudit } from "~/server/audit/audit-repository";
import type { Trail } from "~/server/facts/trail";
import { attachDefinitions, storeDefinition } from "./definition-repository";
import { insertEpisode } from "./episode-repository";
import { insertPerson } from "./person-repository";

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
  await insertEpisode(db, clinicId, {
    ...episode,
    ...about,
    personId: person.id,
    pathwayHash,
    heldBy: staffId,
  });
  await attachDefinitions(db, clinicId, episode.id, hashes);

  const trail: Trail = [];
  const writing = { clinicId, staffId, episodeId: episode.id, at: episode.startedAt, trail };
  for (const name of factNames) {
    const definition: FactDefinition = facts[name];
    await appendFacts(db, writing, definition, definition.ofCase?.(file) ?? []);
  }
  await writeAudit(
    db,
    staff,
    { action: "store-case", kind: "episode", id: episode.id, episodeId: episode.id, wrote: trail },
    episode.startedAt,
  );
}
