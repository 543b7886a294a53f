import type { Queryable } from "~/server/db/connection";
import { factNames, facts, type FactName } from "~/server/facts/all";
import type { Columns, FactDefinition } from "~/server/facts/fact";
import { readFacts, type ByEpisode, type FactRead } from "~/server/facts/sql";
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
