import { LRUCache } from "lru-cache";
import { caseFormat, caseVersion, type CaseFile, type CaseItem } from "~/core/case/case-file";
import { personalLimits, type Circumstances } from "~/core/intake/intake";
import type { Measure } from "~/core/measure/measure";
import type { Pathway } from "~/core/pathway/pathway";
import type { Exercise } from "~/core/progression/exercise";
import { pool, type Queryable } from "~/server/db/connection";
import { inSnapshot } from "~/server/db/transaction";
import { readParts, rereadParts, type CaseParts } from "./case-parts";
import { definitionsBehind, type Definition } from "./definition-repository";
import { findEpisodes, type EpisodeHead } from "./episode-repository";
import type { FactTable } from "./fact-writer";

type Lists = Required<CaseFile>;
type Written<
  K extends
    "stageMoves" | "schools" | "sessions" | "reports" | "clearances" | "results" | "signals" | "attributions",
> = Lists[K][number] & { by: string };

/** A case with the names of those who wrote its facts, which the case file itself leaves out. */
export interface LoadedCase {
  readonly head: EpisodeHead;
  readonly file: CaseFile;
  readonly circumstances: Circumstances | null;
  readonly writers: {
    readonly stageMoves: readonly Written<"stageMoves">[];
    readonly schools: readonly Written<"schools">[];
    readonly sessions: readonly (Omit<Written<"sessions">, "items"> & { by: string })[];
    readonly reports: readonly Written<"reports">[];
    readonly clearances: readonly Written<"clearances">[];
    readonly results: readonly (Written<"results"> & { recordedAt: string })[];
    readonly signals: readonly (Written<"signals"> & { clearedBy: string | null })[];
    readonly attributions: readonly Written<"attributions">[];
  };
}

const without = <T extends object, K extends keyof T>(fact: T, ...keys: K[]): Omit<T, K> =>
  Object.fromEntries(Object.entries(fact).filter(([key]) => !keys.includes(key as K))) as Omit<T, K>;

/** What is kept of an episode at a version: its parts, and the case they make. */
interface Kept {
  readonly version: number;
  readonly parts: CaseParts;
  readonly made: Pick<LoadedCase, "file" | "circumstances" | "writers">;
}

/** Cases as they stood at a version. Every write raises the version, so what is kept of one never goes stale. */
const kept = new LRUCache<string, Kept>({ max: 200 });
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
    const found = kept.get(keyOf(clinicId, head.id));
    if (found?.version === head.version) known.set(head.id, found);
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
    return entry ? [{ head, ...entry.made, file: { ...entry.made.file, zone, asOf } }] : [];
  });
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
 * Reads an episode again after a write to a table, within its transaction.
 *
 * @returns keeps the result, to be called once the transaction is committed; null when nothing was kept before
 */
export async function rereadAfter(
  db: Queryable,
  clinicId: string,
  head: EpisodeHead,
  table: FactTable,
): Promise<(() => void) | null> {
  const key = keyOf(clinicId, head.id);
  const before = kept.get(key);
  if (before?.version !== head.version) return null;
  const parts = await rereadParts(db, clinicId, head.id, before.parts, table);
  const definitions = await definitionsBehind(db, clinicId, [head.pathwayHash, ...parts.hashes]);
  const entry = { version: head.version + 1, parts, made: madeOf(head, parts, definitions) };
  return () => void kept.set(key, entry);
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
      return [[head.id, { version: head.version, parts: own, made: madeOf(head, own, definitions) }]];
    }),
  );
}

/** The case that the parts of an episode make; when and where it is judged is set by whoever loads it. */
function madeOf(
  head: EpisodeHead,
  parts: CaseParts,
  definitions: ReadonlyMap<string, Definition>,
): Kept["made"] {
  const bodies = parts.hashes.flatMap((hash) => definitions.get(hash) ?? []);
  const of = <T>(kind: string) => bodies.filter((b) => b.kind === kind).map((b) => b.body as T);
  const pathway = definitions.get(head.pathwayHash)?.body as Pathway | undefined;
  if (!pathway) throw new Error(`episode without its pathway`);
  const { stageMoves, schools, sessions, reports, clearances, results, signals, attributions } = parts;
  const bySession = grouped(parts.sets, (entry) => entry.sessionId);
  // What was signed last about a person's week and limits takes the place of what the intake said.
  const settings = parts.circumstances;
  const irritability = parts.irritabilities.at(-1);
  const file: CaseFile = {
    format: caseFormat,
    version: caseVersion,
    asOf: head.startedAt,
    zone: "UTC",
    episode: {
      id: head.id,
      involvedSide: head.involvedSide,
      onsetOn: head.onsetOn,
      ...(head.surgeryOn === null ? {} : { surgeryOn: head.surgeryOn }),
      ...(head.graft === null ? {} : { graft: head.graft }),
      ...(irritability ? { irritability } : {}),
      startedAt: head.startedAt,
    },
    pathway,
    exercises: of<Exercise>("exercise"),
    measures: of<Measure>("measure"),
    stageMoves: stageMoves.map((move) => without(move, "by")),
    schools: schools.map((school) => without(school, "by")),
    passings: [...parts.passings],
    restrictions: [...parts.restrictions],
    limitSettings: settings.map(({ at, circumstances: set }) => ({
      at,
      restrictions: [...set.limits, ...personalLimits(set)],
    })),
    items: parts.items.map((item): CaseItem => ({
      ...item,
      prescriptions: parts.prescriptions
        .filter((entry) => entry.itemId === item.id)
        .map((entry) => without(entry, "itemId")),
    })),
    sessions: sessions.map((session) => ({
      ...without(session, "by"),
      items: [...grouped(bySession.get(session.id) ?? [], (entry) => entry.itemId)].map(
        ([itemId, entries]) => ({ itemId, sets: entries.map((entry) => entry.set) }),
      ),
    })),
    reports: reports.map((report) => without(report, "by")),
    results: results.map((result) => without(result, "by")),
    decisions: [...parts.decisions],
    clearances: clearances.map((clearance) => without(clearance, "by")),
    signals: signals.map((signal) => without(signal, "by", "clearedBy")),
    attributions: attributions.map((attribution) => without(attribution, "by")),
  };
  const writers = { stageMoves, schools, sessions, reports, clearances, results, signals, attributions };
  return { file, circumstances: settings.at(-1)?.circumstances ?? null, writers };
}

function grouped<T>(entries: readonly T[], key: (entry: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const entry of entries) {
    const name = key(entry);
    const list = groups.get(name);
    if (list) list.push(entry);
    else groups.set(name, [entry]);
  }
  return groups;
}
