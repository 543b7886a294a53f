import { painArcsOf } from "~/core/case/pain-arcs";
import { measuredHeight } from "~/core/case/measured-body";
import type { StairItem, StairView } from "~/contract/episode";
import { episodeState } from "~/core/episode/episode-turn";
import { reportDays } from "~/core/caseload/caseload-state";
import { limitsOf, limitsOfItem, schoolInForce } from "~/core/case/in-force";
import { reviewCase, type CaseReview } from "~/core/review/review-case";
import { weeksToTarget } from "~/core/case/target-date";
import { stageOf } from "~/core/pathway/pathway";
import { alternatives } from "~/core/progression/alternatives";
import { variantOf } from "~/core/exercise/exercise";
import { laneProgress } from "~/core/progression/lane-progress";
import type { PainSchoolCode } from "~/core/response/pain-school";
import { ageYears } from "~/core/schedule/age-years";
import { daysBetween, localDay } from "~/core/schedule/local-day";
import { signingRoles } from "~/contract/roles";
import { patientName } from "~/server/case/patient-name";
import type { StaffContext } from "~/server/staff-context";
import type { LoadedCase } from "~/server/case/make-case";
import { soreFrom } from "~/core/response/sore-from";
import { limitsTold } from "./limits-told";
import { namesInPlan } from "./names-in-plan";
import { openSignals } from "./open-signals";
import { plannedOn } from "./planned-on";
import { surgeryOf } from "./surgery-of";

/** Builds what the stair of a patient shows, judged by the school in force or by one that is only previewed. */
export function stairView(staff: StaffContext, loaded: LoadedCase, preview?: PainSchoolCode): StairView {
  const { head, file } = loaded;
  const review =
    preview === undefined ? loaded.review() : reviewCase(file, { school: preview, book: loaded.book() });
  const stage = stageOf(file.pathway, review.stage);
  const today = localDay(file.asOf, file.zone);
  const { bornOn, activity } = head.person;
  const limits = limitsOf(file, stage);
  const names = namesInPlan(file, review.items);
  const days = reportDays(file, loaded.days());
  return {
    episodeId: head.id,
    version: head.version,
    symptomClock: review.symptomClock,
    rebaselineDays: review.rebaselineDays,
    soreFrom: soreFrom(loaded.days(), file.asOf),
    asOf: file.asOf,
    today,
    zone: file.zone,
    person: { ...patientName(loaded), activity },
    age: ageYears(bornOn, today),
    diagnosis: head.diagnosis,
    involvedSide: head.involvedSide,
    heightM: measuredHeight(file),
    onsetOn: file.episode.onsetOn,
    daysSinceOnset: daysBetween(file.episode.onsetOn, today),
    surgery: surgeryOf(loaded, today),
    plannedOn: plannedOn(head, today),
    elsewhere: loaded.parts.elsewhere.flatMap(({ problems }) => problems),
    school: review.school,
    schoolInForce: schoolInForce(file),
    schoolReason: file.schools.at(-1)?.reason ?? "",
    pathwayName: file.pathway.name,
    stages: file.pathway.stages.map((s) => ({
      code: s.code,
      name: s.name,
      aim: s.aim,
      expect: s.expect,
      caution: s.caution ?? null,
      lanes: s.lanes.map((entry) => entry.lane),
      gateCriteria: s.gate?.criteria.filter((criterion) => criterion.required).length ?? 0,
      asks: (s.gate?.criteria ?? []).filter(({ required }) => required).map(({ name }) => name),
    })),
    stage: review.stage,
    stageEnteredOn: review.stageEnteredOn,
    gate: review.gate,
    items: review.items.map((item) =>
      stairItem(loaded, item, names.get(item.itemId), {
        restrictions: limitsOfItem(file, stage, file.items.find(({ id }) => id === item.itemId) ?? {}),
        today,
        book: loaded.book(),
      }),
    ),
    restrictions: limitsTold(limits, today),
    openDay: days.open,
    reportDay: days.canReport,
    lastSessionOn: days.last,
    target: head.targetOn === null ? null : { on: head.targetOn, ...weeksToTarget(file, head.targetOn) },
    lanes: review.lanes,
    changeBudget: review.changeBudget,
    signals: openSignals(loaded, staff),
    calls: staff.calls,
    resting: episodeState(head) !== "active",
    maySign: signingRoles.includes(staff.role),
  };
}

function stairItem(
  { file, days }: LoadedCase,
  item: CaseReview["items"][number],
  name: string | undefined,
  under: Parameters<typeof alternatives>[2],
): StairItem {
  const exercise = file.exercises.find((e) => e.id === item.exerciseId);
  if (!exercise) throw new RangeError("the plan names an exercise that the episode does not carry");
  const decision = file.decisions.filter((d) => d.itemId === item.itemId).at(-1);
  return {
    itemId: item.itemId,
    exercise,
    name: name ?? exercise.name,
    role: item.role,
    circuit: item.circuit,
    lane: item.lane,
    prescription: item.prescription,
    variantName: variantOf(exercise, item.prescription.variantId).name,
    maximumN: item.maximumN,
    painArcs: painArcsOf(file, days(), exercise),
    prescribedAt: item.prescribedAt,
    proposal: item.proposal,
    alternatives: alternatives(exercise, item.prescription, under),
    progress: laneProgress(exercise, item.prescription),
    lastDecision: decision ? { action: decision.action, at: decision.at, signedBy: decision.signedBy } : null,
  };
}
