import type { Queryable } from "~/server/db/connection";
import { readDefinitionHashes } from "./definition-repository";
import * as facts from "./fact-reader";
import type { FactTable } from "./fact-writer";

/** What an episode consists of, part by part: each reader is one query, however many episodes. */
const readers = {
  hashes: readDefinitionHashes,
  stageMoves: facts.readStageMoves,
  schools: facts.readSchools,
  passings: facts.readPassings,
  restrictions: facts.readRestrictions,
  circumstances: facts.readCircumstances,
  items: facts.readItems,
  prescriptions: facts.readPrescriptions,
  sessions: facts.readSessions,
  sets: facts.readSets,
  reports: facts.readReports,
  results: facts.readResults,
  decisions: facts.readDecisions,
  clearances: facts.readClearances,
  signals: facts.readSignals,
  attributions: facts.readAttributions,
  irritabilities: facts.readIrritabilities,
};

type Readers = typeof readers;
export type PartName = keyof Readers;
type FactOf<R> = R extends (...of: never[]) => Promise<facts.ByEpisode<infer T>> ? T : never;

/** The facts of one episode, oldest first. */
export type CaseParts = { readonly [K in PartName]: readonly FactOf<Readers[K]>[] };

const partNames = Object.keys(readers) as PartName[];

/** Parts that a write to a table can change; all of them where a table is not named. */
const touched: Partial<Record<FactTable, readonly PartName[]>> = {
  sessions: ["hashes", "items", "prescriptions", "sessions", "sets"],
  next_day_reports: ["reports"],
  decisions: ["decisions", "prescriptions"],
  clearances: ["clearances"],
  school_settings: ["schools"],
  measure_visits: ["results", "hashes"],
  stop_signals: ["signals"],
  signal_clearances: ["signals"],
  flare_attributions: ["attributions"],
  documents: [],
};

/** Reads the parts of some episodes. A fixed number of queries. */
export async function readParts(
  db: Queryable,
  clinicId: string,
  episodeIds: readonly string[],
): Promise<Map<string, CaseParts>> {
  const found = await read(db, clinicId, episodeIds, partNames);
  return new Map(episodeIds.map((id) => [id, ofEpisode(found, id) as CaseParts]));
}

/** The parts of an episode after a write: what the table can have changed is read again, the rest stays. */
export async function rereadParts(
  db: Queryable,
  clinicId: string,
  episodeId: string,
  before: CaseParts,
  table: FactTable,
): Promise<CaseParts> {
  const found = await read(db, clinicId, [episodeId], touched[table] ?? partNames);
  return { ...before, ...ofEpisode(found, episodeId) };
}

type Found = Map<PartName, facts.ByEpisode<unknown>>;

async function read(
  db: Queryable,
  clinicId: string,
  ids: readonly string[],
  names: readonly PartName[],
): Promise<Found> {
  const found: Found = new Map();
  for (const name of names) found.set(name, await readers[name](db, clinicId, ids));
  return found;
}

function ofEpisode(found: Found, id: string): Partial<CaseParts> {
  return Object.fromEntries([...found].map(([name, byEpisode]) => [name, byEpisode.get(id) ?? []]));
}
