import { engineVersion } from "~/core/decision/decide";
import { caseloadState } from "~/core/caseload/caseload-state";
import type { CaseloadState } from "~/core/interchange/contract";
import { validUntil } from "~/core/caseload/valid-until";
import type { Queryable } from "~/server/db/connection";
import { isConflict } from "~/server/db/transaction";
import { loadCases, type LoadedCase } from "~/server/episode/case-loader";
import { reviewOf } from "~/server/episode/review-of";
import { findEpisodes } from "~/server/episode/episode-repository";
import { keepStates } from "./caseload-repository";

const atOnce = 50;

/**
 * Computes the caseload's state of cases that are loaded already, and keeps it. A row that somebody else's lock kept from
 * being written stays stale: every reader computes it again, and so does the sweeper.
 */
export async function projectLoaded(
  db: Queryable,
  clinicId: string,
  loaded: readonly LoadedCase[],
): Promise<Map<string, CaseloadState>> {
  const kept = loaded.map(({ head, file }) => ({
    episodeId: head.id,
    episodeVersion: head.version,
    state: caseloadState(file, head.targetOn, reviewOf(file)),
    validUntil: validUntil(file),
  }));
  const [first] = loaded;
  if (first) {
    await keepStates(db, clinicId, kept, first.file.asOf, engineVersion).catch((error: unknown) => {
      if (!isConflict(error)) throw error;
    });
  }
  return new Map(kept.map(({ episodeId, state }) => [episodeId, state]));
}

/** Loads some episodes of a clinic, and computes and keeps the caseload's state of each. */
export async function projectEpisodes(
  db: Queryable,
  clinic: { clinicId: string; zone: string },
  episodeIds: readonly string[],
  now: string,
): Promise<Map<string, CaseloadState>> {
  const states = new Map<string, CaseloadState>();
  for (let from = 0; from < episodeIds.length; from += atOnce) {
    const heads = await findEpisodes(db, clinic.clinicId, episodeIds.slice(from, from + atOnce));
    const loaded = await loadCases(db, clinic.clinicId, clinic.zone, heads, now);
    for (const [id, state] of await projectLoaded(db, clinic.clinicId, loaded)) states.set(id, state);
  }
  return states;
}
