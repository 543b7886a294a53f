import type { Written } from "~/core/interchange/contract";
import { writeAudit } from "~/server/audit/audit-repository";
import type { StaffContext } from "~/server/auth/staff-context";
import { now } from "~/server/clock";
import { projectLoaded } from "~/server/caseload/project-caseload";
import { pool, type Connection } from "~/server/db/connection";
import { inTransaction } from "~/server/db/transaction";
import { ApiProblem, notFound } from "~/server/http/problem";
import { loadCases, rereadAfter, type LoadedCase } from "./case-loader";
import { bumpVersion, lockEpisode } from "./episode-repository";
import { episodeOfFact, type FactTable, type Writing } from "./fact-writer";
import { loadEpisode } from "./read-episode";
import { stairView } from "./stair-view";

/** What a write may use while it holds the episode. */
export interface WriteScope {
  readonly db: Connection;
  readonly writing: Writing;
  readonly loaded: LoadedCase;
}

/** Writes one fact into an episode and answers with the stair as it stands then. */
export async function writeFact(
  staff: StaffContext,
  episodeId: string,
  fact: Fact,
  write: (scope: WriteScope) => Promise<void>,
): Promise<Written> {
  const repeated = await writeInto(staff, episodeId, fact, write);
  const loaded = await loadEpisode(staff, episodeId);
  await projectLoaded(pool(), staff.clinicId, [loaded]);
  return { id: fact.id, repeated, stair: stairView(staff, loaded) };
}

/** A fact to be written: where it goes, the id its sender made, and what the audit log calls it. */
export interface Fact {
  readonly table: FactTable;
  readonly id: string;
  readonly action: string;
}

/**
 * Writes one fact into an episode: locks its head, answers a repeated id with what the first call wrote, otherwise
 * runs `write`, raises the version and notes it in the audit log. All or nothing.
 *
 * @returns true when this id had been written before
 */
export async function writeInto(
  staff: StaffContext,
  episodeId: string,
  fact: Fact,
  write: (scope: WriteScope) => Promise<void>,
): Promise<boolean> {
  const at = now();
  const { repeated, keep } = await inTransaction(async (db) => {
    const head = await lockEpisode(db, staff.clinicId, episodeId).catch((error) => {
      if (String(error).includes("Incorrect uuid value")) throw notFound();
      throw error;
    });
    if (!head) throw notFound();
    const owner = await episodeOfFact(db, fact.table, staff.clinicId, fact.id);
    if (owner === episodeId) return { repeated: true, keep: null };
    if (owner !== null) throw new ApiProblem(409, "id-in-use", "This id belongs to another record.");
    const [loaded] = await loadCases(db, staff.clinicId, staff.zone, [head], at);
    if (!loaded) throw notFound();
    const writing: Writing = { clinicId: staff.clinicId, staffId: staff.staffId, episodeId, at };
    await write({ db, writing, loaded });
    await bumpVersion(db, staff.clinicId, episodeId);
    await writeAudit(db, staff, { action: fact.action, kind: fact.table, id: fact.id }, at);
    return { repeated: false, keep: await rereadAfter(db, staff.clinicId, head, fact.table) };
  });
  keep?.();
  return repeated;
}
