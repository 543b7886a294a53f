import { isUuid } from "~/core/schema/formats";
import { writeAudit } from "~/server/audit/audit-repository";
import { now } from "~/server/clock";
import { pool, type Queryable } from "~/server/db/connection";
import { notFound } from "~/server/http/problem";
import type { StaffContext } from "~/server/staff-context";
import { loadCases } from "./case-loader";
import { findEpisode } from "./episode-repository";
import type { LoadedCase } from "./make-case";
import { unreadable } from "./unreadable";

/** What pages have loaded already, each for itself. */
const ofPages = new WeakMap<StaffContext, Map<string, Promise<LoadedCase>>>();

/** The same person, for whom a page that only reads loads an episode once, however many of its parts show it. */
export function forOnePage(staff: StaffContext): StaffContext {
  const reader = { ...staff };
  ofPages.set(reader, new Map());
  return reader;
}

/**
 * Loads an episode of the signed-in clinic.
 *
 * @throws ApiProblem 404, also for another clinic's id; 500 `unreadable-record` for one that cannot be put together
 */
export function loadEpisode(
  staff: StaffContext,
  id: string,
  db: Queryable = pool(),
  asOf = now(),
): Promise<LoadedCase> {
  const ofPage = ofPages.get(staff);
  const kept = ofPage?.get(id);
  if (kept) return kept;
  const loading = loadAnew(staff, id, db, asOf);
  ofPage?.set(id, loading);
  return loading;
}

async function loadAnew(staff: StaffContext, id: string, db: Queryable, asOf: string): Promise<LoadedCase> {
  if (!isUuid(id)) throw notFound();
  const head = await findEpisode(db, staff.clinicId, id);
  if (!head) throw notFound();
  const [loaded] = await loadCases(db, staff.clinicId, staff.zone, [head], asOf);
  if (!loaded) throw unreadable("Nothing can be shown.");
  return loaded;
}

/** Notes in the audit log that somebody read of an episode. */
export async function noteRead(staff: StaffContext, id: string, action: string): Promise<void> {
  await writeAudit(pool(), staff, { action, kind: "episode", id, episodeId: id }, now());
}
