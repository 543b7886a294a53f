import type { LiftsView } from "~/contract/lifts";
import { recordingRoles, signingRoles } from "~/contract/roles";
import { arrangedItems } from "~/core/case/arranged";
import { smallDoseNow } from "~/core/case/small-dose-now";
import { standingLifts } from "~/core/lift/lift";
import { localDay } from "~/core/schedule/local-day";
import { loadEpisode, noteRead } from "~/server/case/load-episode";
import type { LoadedCase } from "~/server/case/make-case";
import { patientName } from "~/server/case/patient-name";
import type { StaffContext } from "~/server/staff-context";

/** The exercise of the small dose. */
const smallDoseExercise = "back-extension";

/** Somebody's own lifting, whether it still moves, and what is tried where it does not. */
export async function readLifts(staff: StaffContext, episodeId: string): Promise<LiftsView> {
  const loaded = await loadEpisode(staff, episodeId);
  await noteRead(staff, episodeId, "read-lifts");
  return liftsView(staff, loaded);
}

export function liftsView(staff: StaffContext, loaded: LoadedCase): LiftsView {
  const { head, file, parts } = loaded;
  const today = localDay(file.asOf, file.zone);
  const { trends, next, forwardOn, backwardOn } = smallDoseNow(file);
  return {
    episodeId: head.id,
    version: head.version,
    person: patientName(loaded),
    today,
    lifts: standingLifts(parts.lifts),
    trends: [...trends],
    smallDose: {
      next,
      forwardOn,
      backwardOn,
      steps: [...parts.smallDoses],
      inPlan: arrangedItems(file).some(({ item: { exerciseId } }) => exerciseId === smallDoseExercise),
    },
    mayRecord: recordingRoles.includes(staff.role),
    maySign: signingRoles.includes(staff.role),
  };
}
