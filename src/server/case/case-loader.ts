import { LRUCache } from "lru-cache";
import { pool, type Queryable } from "~/server/db/connection";
import { inSnapshot } from "~/server/db/transaction";
import { log } from "~/server/http/log";
import { forgottenBy } from "~/server/remembered";
import { facts, type FactName } from "~/server/facts/all";
import type { AppendedFact } from "~/server/facts/sql";
import { partsWith, readParts, rereadParts } from "./case-parts";
import { definitionsBehind } from "./definition-repository";
import { findEpisodes, type EpisodeHead } from "./episode-repository";
import { judgedAt, madeOf, type LoadedCase, type MadeCase } from "./make-case";

/** What is kept of an episode at a version. */
interface Kept {
  readonly version: number;
  readonly made: MadeCase;
  readonly head: EpisodeHead;
  /** What was appended to reach that version, and is not in what was made. */
  readonly since: readonly AppendedFact[];
}

/** Cases as they stood at a version. Every write raises the version, so what is kept of one never goes stale. */
const kept = new LRUCache<string, Kept>({ max: 200 });
forgottenBy(() => kept.clear());
const keyOf = (clinicId: string, episodeId: string) => `${clinicId} ${episodeId}`;

/**
 * Loads whole cases: the one way from the database to the core. What is kept of the version at hand is used; the rest is
 * read with a fixed number of queries, however many episodes, and as of one instant: a write that comes between two of the
 * queries is seen by all of them or by none.
 *
 * @param db the connection of a transaction that holds the episode, or the pool
 * @param asOf the instant at which the case is to be judged
 */
export async function loadCases(
  db: Queryable,
  clinicId: string,
  zone: string,
  heads: readonly EpisodeHead[],
  asOf: string,
): Promise<LoadedCase[]> {
  const known = new Map<string, Kept>();
  for (const head of heads) {
    const found = await caughtUp(db, clinicId, head);
    if (found) known.set(head.id, found);
  }
  const unknown = heads.filter((head) => !known.has(head.id));
  const current = new Map<string, EpisodeHead>();
  const readUnknown = async (from: Queryable, present: readonly EpisodeHead[]) => {
    for (const head of present) current.set(head.id, head);
    return readKept(from, clinicId, present);
  };
  const ids = unknown.map(({ id }) => id);
  const read =
    db === pool() && unknown.length > 0
      ? await inSnapshot(async (snapshot) =>
          readUnknown(snapshot, await findEpisodes(snapshot, clinicId, ids)),
        )
      : await readUnknown(db, unknown);
  for (const [id, entry] of read) {
    known.set(id, entry);
    // A long list is read once and passes; a case that somebody works on comes again.
    if (heads.length === 1) kept.set(keyOf(clinicId, id), entry);
  }
  return heads.flatMap((given) => {
    const head = current.get(given.id) ?? given;
    const entry = known.get(head.id);
    return entry ? [judgedAt(head, entry.made, zone, asOf)] : [];
  });
}

/** What is kept of an episode at its version, with what was appended since it was made; null where it has to be read. */
async function caughtUp(db: Queryable, clinicId: string, head: EpisodeHead): Promise<Kept | null> {
  const found = kept.get(keyOf(clinicId, head.id));
  if (found?.version !== head.version) return null;
  if (found.since.length === 0) return found;
  const parts = partsWith(found.made.parts, found.since);
  if (!parts) return null;
  const definitions = await definitionsBehind(db, clinicId, [head.pathwayHash, ...parts.hashes]);
  const caught = { version: head.version, head, made: madeOf(head, parts, definitions), since: [] };
  kept.set(keyOf(clinicId, head.id), caught);
  return caught;
}

/**
 * Says what a write has appended, once it is committed: with that, what is kept of the episode is as good as read again.
 *
 * @param version of the episode after the write
 * @param at the instant of the write
 */
export function noteAppended(
  clinicId: string,
  episodeId: string,
  version: number,
  at: string,
  appended: readonly AppendedFact[],
): void {
  const found = kept.get(keyOf(clinicId, episodeId));
  if (found?.version !== version - 1) return;
  const head = { ...found.head, version, writtenAt: at };
  kept.set(keyOf(clinicId, episodeId), { ...found, version, head, since: [...found.since, ...appended] });
}

/** The head of an episode at a version, where it is kept. */
export function keptHead(clinicId: string, episodeId: string, version: number): EpisodeHead | null {
  const found = kept.get(keyOf(clinicId, episodeId));
  return found?.version === version ? found.head : null;
}

/** Loads cases from the database, whatever is kept of them: for measuring what the database alone takes. */
export async function readCases(
  db: Queryable,
  clinicId: string,
  heads: readonly EpisodeHead[],
): Promise<number> {
  return (await readKept(db, clinicId, heads)).size;
}

/**
 * An episode as it stands after a fact was appended, read within the same transaction.
 *
 * @param before the case as it was loaded before
 * @returns the case, and what keeps it, to be called once the transaction is committed
 */
export async function reloadAfter(
  db: Queryable,
  clinicId: string,
  before: LoadedCase,
  appended: FactName,
): Promise<{ after: LoadedCase; keep: () => void }> {
  const [altered] = facts[appended].changesHead ? await findEpisodes(db, clinicId, [before.head.id]) : [];
  const { zone, asOf } = before.file;
  const head = altered ?? { ...before.head, version: before.head.version + 1, writtenAt: asOf };
  const parts = await rereadParts(db, clinicId, head.id, before.parts, appended);
  const definitions = await definitionsBehind(db, clinicId, [head.pathwayHash, ...parts.hashes]);
  const made = madeOf(head, parts, definitions);
  return {
    after: judgedAt(head, made, zone, asOf),
    keep: () => void kept.set(keyOf(clinicId, head.id), { version: head.version, head, made, since: [] }),
  };
}

async function readKept(
  db: Queryable,
  clinicId: string,
  heads: readonly EpisodeHead[],
): Promise<Map<string, Kept>> {
  if (heads.length === 0) return new Map();
  const parts = await readParts(
    db,
    clinicId,
    heads.map((head) => head.id),
  );
  const hashes = heads.flatMap((head) => [head.pathwayHash, ...(parts.get(head.id)?.hashes ?? [])]);
  const definitions = await definitionsBehind(db, clinicId, hashes);
  return new Map(
    heads.flatMap((head) => {
      const own = parts.get(head.id);
      if (!own) return [];
      try {
        return [
          [
            head.id,
            { version: head.version, head, made: madeOf(head, own, definitions), since: [] },
          ] as const,
        ];
      } catch (error) {
        // One record that cannot be put together does not take the others of its list with it.
        log.error({ error: String((error as Error).stack ?? error) }, "a record that cannot be loaded");
        return [];
      }
    }),
  );
}
