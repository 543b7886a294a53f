import { isUuid } from "~/core/schema/formats";
import { writeAudit } from "~/server/audit/audit-repository";
import { now } from "~/server/clock";
import { besideReading } from "~/server/db/reading-only";
import { log } from "~/server/http/log";
import { pool, type Queryable } from "~/server/db/connection";
import { notFound } from "~/server/http/problem";
import type { StaffContext } from "~/server/staff-context";
import type { Reader, Writer } from "~/server/writer";
import { loadCases } from "./case-loader";
import { findEpisode } from "./episode-repository";
import type { LoadedCase } from "./make-case";
import { unreadable } from "./unreadable";

/** What pages have loaded already, each for itself. */
const ofPages = new WeakMap<Reader, Map<string, Promise<LoadedCase>>>();

/** The same person, for whom a page that only reads loads an episode once, however many of its parts show it. */
export function forOnePage(staff: StaffContext): StaffContext {
  const reader = { ...staff };
  ofPages.set(reader, new Map());
  return reader;
}

/**
 * Loads an episode of the clinic that asks.
 *
 * @throws ApiProblem 404, also for another clinic's id; 500 `unreadable-record` for one that cannot be put together
 */
export function loadEpisode(
  reader: Reader,
  id: string,
  db: Queryable = pool(),
  asOf = now(),
): Promise<LoadedCase> {
  const ofPage = ofPages.get(reader);
  const kept = ofPage?.get(id);
  if (kept) return kept;
  const loading = loadAnew(reader, id, db, asOf);
  ofPage?.set(id, loading);
  return loading;
}

async function loadAnew(reader: Reader, id: string, db: Queryable, asOf: string): Promise<LoadedCase> {
  if (!isUuid(id)) throw notFound();
  const head = await findEpisode(db, reader.clinicId, id);
  if (!head) throw notFound();
  const [loaded] = await loadCases(db, reader.clinicId, reader.zone, [head], asOf);
  if (!loaded) throw unreadable("Nothing can be shown.");
  return loaded;
}

/** Notes in the audit log that somebody read of an episode. */
export async function noteRead(reader: Writer, id: string, action: string): Promise<void> {
  const line = { action, kind: "episode", id, episodeId: id };
  await besideReading(
    () => writeAudit(pool(), reader, line, now()),
    // By ids alone, as in the clinic's own log.
    () =>
      log.warn({ ...line, staffId: reader.staffId }, "read while the database takes nothing: not in the log"),
  );
}
