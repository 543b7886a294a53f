import type { PatientFrame } from "~/contract/frame";
import { signingRoles } from "~/contract/roles";
import { limitsOf } from "~/core/case/in-force";
import { moveInForce } from "~/core/case/stage-in-force";
import { episodeState } from "~/core/episode/episode-turn";
import { stageOf } from "~/core/pathway/pathway";
import { ageYears } from "~/core/schedule/age-years";
import { daysBetween, localDay } from "~/core/schedule/local-day";
import { loadEpisode, noteRead } from "~/server/case/load-episode";
import type { LoadedCase } from "~/server/case/make-case";
import { patientName } from "~/server/case/patient-name";
import type { StaffContext } from "~/server/staff-context";
import { limitsTold } from "./limits-told";
import { namesInPlan } from "./names-in-plan";
import { openSignals } from "./open-signals";
import { plannedOn } from "./planned-on";
import { surgeryOf } from "./surgery-of";

/** What stands at the head of every view of a patient. */
export function patientFrame(staff: StaffContext, loaded: LoadedCase): PatientFrame {
  const { head, file } = loaded;
  const { bornOn, activity } = head.person;
  const { stages } = file.pathway;
  const stage = stageOf(file.pathway, moveInForce(file).stage);
  const today = localDay(file.asOf, file.zone);
  const state = episodeState(head);
  const last = loaded.parts.turns.at(-1);
  return {
    episodeId: head.id,
    person: patientName(loaded),
    birthYear: Number(bornOn.slice(0, 4)),
    age: ageYears(bornOn, today),
    activity,
    diagnosis: head.diagnosis,
    involvedSide: head.involvedSide,
    daysSinceOnset: daysBetween(file.episode.onsetOn, today),
    surgery: surgeryOf(loaded, today),
    plannedOn: plannedOn(head, today),
    elsewhere: loaded.parts.elsewhere.flatMap(({ problems }) => problems),
    stage: { name: stage.name, number: stages.indexOf(stage) + 1, of: stages.length },
    limits: limitsTold(limitsOf(file, stage), today),
    signals: openSignals(loaded, staff),
    calls: staff.calls,
    zone: file.zone,
    today,
    items: [...namesInPlan(file, loaded.review().items)].map(([itemId, name]) => ({ itemId, name })),
    lifts: file.pathway.region === "back" || (file.lifts ?? []).length > 0,
    state,
    resting: state === "active" || !last ? null : { at: last.at, reason: last.reason },
    maySign: signingRoles.includes(staff.role),
  };
}

/** The same, noted in the audit log as a read of the record. */
export async function readFrame(staff: StaffContext, id: string): Promise<PatientFrame> {
  const loaded = await loadEpisode(staff, id);
  await noteRead(staff, id, "read-frame");
  return patientFrame(staff, loaded);
}
