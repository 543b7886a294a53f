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

/**
 * Loads an episode of the signed-in clinic.
 *
 * @throws ApiProblem 404, also for another clinic's id; 500 `unreadable-record` for one that cannot be put together
 */
export async function loadEpisode(
  staff: StaffContext,
  id: string,
  db: Queryable = pool(),
  asOf = now(),
): Promise<LoadedCase> {
  if (!isUuid(id)) throw notFound();
  const head = await findEpisode(db, staff.clinicId, id);
  if (!head) throw notFound();
  const [loaded] = await loadCases(db, staff.clinicId, staff.zone, [head], asOf);
  if (!loaded) throw unreadable("Nothing can be shown.");
  return loaded;
}

/** Notes in the audit log that somebody read of an episode. */
export async function noteRead(staff: StaffContext, id: string, action: string): Promise<void> {
  await writeAudit(pool(), staff, { action, kind: "episode", id }, now());
}
