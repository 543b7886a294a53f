import type { StairView } from "~/contract/episode";
import type { CaseFile } from "~/core/case/case-file";
import type { PainSchoolCode } from "~/core/response/pain-school";
import { isUuid } from "~/core/schema/formats";
import { writeAudit } from "~/server/audit/audit-repository";
import type { StaffContext } from "~/server/auth/staff-context";
import { now } from "~/server/clock";
import { pool, type Queryable } from "~/server/db/connection";
import { notFound } from "~/server/http/problem";
import { loadCases } from "./case-loader";
import type { LoadedCase } from "./make-case";
import { findEpisode } from "./episode-repository";
import { stairView } from "./stair-view";

/** Loads an episode of the signed-in clinic. @throws ApiProblem 404, also for another clinic's id */
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
  if (!loaded) throw notFound();
  return loaded;
}

/** The stair of a patient, noted in the audit log as a read of the record. */
export async function readStair(
  staff: StaffContext,
  id: string,
  preview?: PainSchoolCode,
): Promise<StairView> {
  const loaded = await loadEpisode(staff, id);
  await noteRead(staff, id, "read-stair");
  return stairView(staff, loaded, preview);
}

/** The case file of an episode, for export. */
export async function readCaseFile(staff: StaffContext, id: string): Promise<CaseFile> {
  const { file } = await loadEpisode(staff, id);
  await noteRead(staff, id, "export-case");
  return file;
}

export async function noteRead(staff: StaffContext, id: string, action: string): Promise<void> {
  await writeAudit(pool(), staff, { action, kind: "episode", id }, now());
}
