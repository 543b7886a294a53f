import type { Queryable } from "~/server/db/connection";
import { factNames, facts, type FactName } from "~/server/facts/all";
import type { Columns, FactDefinition } from "~/server/facts/fact";
import { readFacts, type AppendedFact, type ByEpisode, type FactRead } from "~/server/facts/sql";
import { readDefinitionHashes } from "./definition-repository";
import { readElsewhere } from "./elsewhere-repository";
import { readIntakeAnswers } from "./intake-answers-repository";

type ColumnsOf<N extends FactName> = (typeof facts)[N] extends FactDefinition<infer C> ? C : never;
/** A fact of this kind as it is read. */
export type Read<N extends FactName> = FactRead<ColumnsOf<N>>;

/** The kinds of facts that every case is made of. */
type CaseFact = Exclude<
  FactName,
  "visits" | "documents" | "intakes" | "identityChanges" | "merges" | "handovers" | "weeks" | "messages"
>;
const isCaseFact = (name: FactName): name is CaseFact => facts[name].inCase;

/** Parts of an episode that are not facts of its own. */
const others = {
  hashes: readDefinitionHashes,
  answers: readIntakeAnswers,
  elsewhere: readElsewhere,
};
type Other = keyof typeof others;
type OtherPart<K extends Other> =
  Awaited<ReturnType<(typeof others)[K]>> extends ByEpisode<infer T> ? readonly T[] : never;

/** What an episode consists of, kind by kind, oldest first. */
export type CaseParts = { readonly [N in CaseFact]: readonly Read<N>[] } & {
  readonly [K in Other]: OtherPart<K>;
};
type PartName = keyof CaseParts;

const caseFacts = factNames.filter(isCaseFact);
const isOther = (name: PartName): name is Other => name in others;
const partNames: readonly PartName[] = [...caseFacts, ...(Object.keys(others) as Other[])];

/** Reads the parts of some episodes. A fixed number of queries, however many episodes. */
export async function readParts(
  db: Queryable,
  clinicId: string,
  episodeIds: readonly string[],
): Promise<Map<string, CaseParts>> {
  const found = await read(db, clinicId, episodeIds, partNames);
  return new Map(episodeIds.map((id) => [id, ofEpisode(found, id) as CaseParts]));
}

/** The parts of an episode after a fact was appended: what that can have changed is read again, the rest stays. */
export async function rereadParts(
  db: Queryable,
  clinicId: string,
  episodeId: string,
  before: CaseParts,
  appended: FactName,
): Promise<CaseParts> {
  const { bringsAlong = [] } = facts[appended];
  const names = caseFacts.filter((name) => name === appended || bringsAlong.includes(name));
  const elsewhere = facts[appended].changesElsewhere === true ? (["elsewhere"] as const) : [];
  const found = await read(db, clinicId, [episodeId], [...names, "hashes", ...elsewhere]);
  return { ...before, ...ofEpisode(found, episodeId) };
}

/**
 * The parts of an episode with what was appended since they were read, each fact in its place.
 *
 * @returns null where more than its own kind depends on what was appended, or its place is not known: all is to be read
 */
export function partsWith(before: CaseParts, appended: readonly AppendedFact[]): CaseParts | null {
  let parts = before;
  for (const { table, fact } of appended) {
    const name = plainKinds.find((kind) => facts[kind].table === table);
    if (name === undefined) return null;
    const definition: FactDefinition = facts[name];
    const all = definition.through ? [...parts[name], fact] : inOrder(definition, parts[name], fact);
    if (!all) return null;
    parts = { ...parts, [name]: all };
  }
  return parts;
}

/** Kinds that nothing but a case's list of them depends on, and that come often. */
const plainKinds = ["sessions", "sets", "reports"] as const;

/** Facts with a new one in its place, by the first of what their kind is ordered by; null where another stands at the same. */
function inOrder(
  { columns, order }: FactDefinition,
  before: readonly object[],
  fact: object,
): readonly object[] | null {
  const [field = ""] = Object.entries(columns).find(([, { name }]) => name === order[0]) ?? [];
  const placeOf = (of: object) => String((of as Record<string, unknown>)[field]);
  const at = before.findLastIndex((other) => placeOf(other) <= placeOf(fact));
  const last = before[at];
  if (last && placeOf(last) === placeOf(fact)) return null;
  return before.toSpliced(at + 1, 0, fact);
}

type Found = Map<PartName, ByEpisode<unknown>>;

async function read(
  db: Queryable,
  clinicId: string,
  ids: readonly string[],
  names: readonly PartName[],
): Promise<Found> {
  const found: Found = new Map();
  for (const name of names) {
    const part = isOther(name)
      ? await others[name](db, clinicId, ids)
      : await readFacts<Columns>(db, facts[name], clinicId, ids);
    found.set(name, part);
  }
  return found;
}

function ofEpisode(found: Found, id: string): Partial<CaseParts> {
  return Object.fromEntries([...found].map(([name, byEpisode]) => [name, byEpisode.get(id) ?? []]));
}
