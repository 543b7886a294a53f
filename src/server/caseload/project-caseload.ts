import { setImmediate as nextTurn } from "node:timers/promises";
import type { CaseloadState } from "~/core/caseload/attention";
import { caseloadState, unreadableState } from "~/core/caseload/caseload-state";
import { validUntil } from "~/core/caseload/valid-until";
import { daysBetween, localDay } from "~/core/schedule/local-day";
import { engineVersion } from "~/core/decision/decide";
import { pool, type Queryable } from "~/server/db/connection";
import { isReadingOnly } from "~/server/db/reading-only";
import { isConflict } from "~/server/db/away";
import { loadCases } from "~/server/case/case-loader";
import { findEpisodes } from "~/server/case/episode-repository";
import type { LoadedCase } from "~/server/case/make-case";
import { log } from "~/server/http/log";
import { keepStates, type KeptState } from "./caseload-repository";

const atOnce = 50;
const unreadableHoldsMs = 15 * 60_000;

/**
 * Computes the caseload's state of cases that are loaded already, and keeps it. A row that somebody else's lock kept from
 * being written stays stale: every reader computes it again, and so does the sweeper.
 */
async function projectLoaded(
  db: Queryable,
  clinicId: string,
  loaded: readonly LoadedCase[],
): Promise<Map<string, CaseloadState>> {
  const kept: KeptState[] = [];
  for (const one of loaded) {
    kept.push(keptState(one));
    // Each takes some milliseconds: whoever asks something meanwhile is answered between two.
    if (loaded.length > 1) await nextTurn();
  }
  const [first] = loaded;
  if (first) {
    await keepStates(db, clinicId, kept, first.file.asOf, engineVersion).catch((error: unknown) => {
      if (!isConflict(error) && !isReadingOnly(error)) throw error;
    });
  }
  return new Map(kept.map(({ episodeId, state }) => [episodeId, state]));
}

/** The state of one case; one that cannot be judged stands in the list as that, and keeps nobody else from it. */
function keptState({ head, file, review, days: trainingDays }: LoadedCase): KeptState {
  const of = {
    episodeId: head.id,
    episodeVersion: head.version,
    onsetOn: head.onsetOn,
    heldBy: head.heldBy?.id ?? null,
    resting: head.endedAt !== null || head.pausedAt !== null,
  };
  try {
    const state = caseloadState(file, head.targetOn, review(), trainingDays());
    return { ...of, state, validUntil: validUntil(file) };
  } catch (error) {
    log.error({ error: String((error as Error)?.stack ?? error) }, "a record that cannot be judged");
    const until = new Date(Date.parse(file.asOf) + unreadableHoldsMs).toISOString();
    const open = (file.signals ?? []).some((signal) => signal.cleared === undefined);
    const days = daysBetween(file.episode.onsetOn, localDay(file.asOf, file.zone));
    return { ...of, state: unreadableState(days, open), validUntil: until };
  }
}

/** Keeps the state of a case that was just written. Should that fail, the row stays stale and is computed by who reads it. */
export async function projectQuietly(clinicId: string, loaded: readonly LoadedCase[]): Promise<void> {
  try {
    await projectLoaded(pool(), clinicId, loaded);
  } catch (error) {
    log.warn({ error: String((error as Error)?.message ?? error) }, "caseload row put off");
  }
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
