import type { StairView } from "~/contract/episode";
import type { CaseFile } from "~/core/case/case-file";
import type { PainSchoolCode } from "~/core/response/pain-school";
import { loadEpisode, noteRead } from "~/server/case/load-episode";
import type { StaffContext } from "~/server/staff-context";
import { stairView } from "./stair-view";

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
