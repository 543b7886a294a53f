import type { HandoutView } from "~/contract/handout";
import { recordingRoles } from "~/contract/roles";
import { limitsOf } from "~/core/case/in-force";
import { measuredHeight } from "~/core/case/measured-body";
import { stageOf } from "~/core/pathway/pathway";
import { localDay } from "~/core/schedule/local-day";
import { loadEpisode, noteRead } from "~/server/case/load-episode";
import { patientName } from "~/server/case/patient-name";
import { pool } from "~/server/db/connection";
import { limitsTold } from "~/server/episode/limits-told";
import { itemsAtHome, laidDays } from "~/server/phone/at-home";
import type { StaffContext } from "~/server/staff-context";
import { keptWeeks } from "~/server/week/read-week";

/** The handout of a patient as the plan stands. Noted in the audit log as a read of the record. */
export async function readHandout(staff: StaffContext, episodeId: string): Promise<HandoutView> {
  const loaded = await loadEpisode(staff, episodeId);
  await noteRead(staff, episodeId, "read-handout");
  const { file, head } = loaded;
  const today = localDay(file.asOf, file.zone);
  const { stage, school } = loaded.review();
  return {
    episodeId,
    person: patientName(loaded),
    clinicName: staff.clinicName,
    calls: staff.calls,
    today,
    zone: file.zone,
    involvedSide: head.involvedSide,
    heightM: measuredHeight(file),
    school,
    items: itemsAtHome(loaded, today),
    days: laidDays(loaded, await keptWeeks(pool(), staff.clinicId, episodeId), today),
    limits: limitsTold(limitsOf(file, stageOf(file.pathway, stage)), today),
    mayMakeCode: recordingRoles.includes(staff.role),
  };
}
