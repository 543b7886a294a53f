import type { StairItem, StairView } from "~/core/interchange/contract";
import { caseDays } from "~/core/interchange/case-days";
import {
  gateDates,
  limitsOf,
  reviewCase,
  schoolInForce,
  type CaseReview,
} from "~/core/interchange/review-case";
import { daysToLastStage } from "~/core/pathway/days-to-last-stage";
import { stageOf } from "~/core/pathway/pathway";
import { alternatives } from "~/core/progression/alternatives";
import { variantOf } from "~/core/progression/exercise";
import { laneProgress } from "~/core/progression/lane-progress";
import type { Restriction } from "~/core/progression/restriction";
import type { PainSchoolCode } from "~/core/response/pain-school";
import { reportCountsHours, trainingDayState } from "~/core/response/training-day-state";
import { daysBetween, elapsedDays, localDay } from "~/core/schedule/local-day";
import { signingRoles, type StaffContext } from "~/server/auth/staff-context";
import type { LoadedCase } from "./case-loader";

/** Builds what the stair of a patient shows, judged by the school in force or by one that is only previewed. */
export function stairView(staff: StaffContext, loaded: LoadedCase, preview?: PainSchoolCode): StairView {
  const { head, file } = loaded;
  const review = reviewCase(file, preview);
  const stage = stageOf(file.pathway, review.stage);
  const today = localDay(file.asOf, file.zone);
  const { bornOn, ...person } = head.person;
  const limits = limitsOf(file, stage);
  return {
    episodeId: head.id,
    version: head.version,
    asOf: file.asOf,
    today,
    zone: file.zone,
    person,
    age: Math.floor(daysBetween(bornOn, today) / 365.2425),
    diagnosis: head.diagnosis,
    involvedSide: head.involvedSide,
    onsetOn: head.onsetOn,
    daysSinceOnset: daysBetween(head.onsetOn, today),
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
    })),
    stage: review.stage,
    stageEnteredOn: review.stageEnteredOn,
    gate: review.gate,
    items: review.items.map((item) => stairItem(loaded, item, limits, today)),
    restrictions: limits
      .filter((limit) => told(limit, today) && !saidWithEnd(limit, limits, today))
      .map(({ says, until, origin }) => ({ says, until: until ?? null, origin })),
    ...openDays(loaded),
    target: targetOf(loaded, review, today),
    callWhom: staff.callWhom,
    maySign: (signingRoles as readonly string[]).includes(staff.role),
  };
}

const untold = new Set(["kit", "phases", "variants"]);

/** Limits worth a line: those of the body, that have not ended. What kit is at hand and what a stage holds is said elsewhere. */
export function told({ kind, until }: Restriction, today: string): boolean {
  return !untold.has(kind) && (until === undefined || today <= until);
}

/** A stage's words may repeat a dated limit; the one that says until when is enough. */
function saidWithEnd({ says, until }: Restriction, all: readonly Restriction[], today: string): boolean {
  if (until !== undefined) return false;
  return all.some((other) => other.says === says && other.until !== undefined && told(other, today));
}

/** How the minimum times still ahead stand to the day the patient wants to be ready for. */
function targetOf({ head, file }: LoadedCase, review: CaseReview, today: string): StairView["target"] {
  if (head.targetOn === null) return null;
  const days = daysToLastStage(file.pathway, {
    stage: review.stage,
    enteredOn: review.stageEnteredOn,
    countedFrom: gateDates(file).onsetOn,
    today,
  });
  const weeksLeft = Math.floor(daysBetween(today, head.targetOn) / 7);
  return { on: head.targetOn, weeksLeft, weeksNeeded: Math.ceil(days / 7) };
}

function stairItem(
  { file }: LoadedCase,
  item: CaseReview["items"][number],
  limits: Parameters<typeof alternatives>[2],
  today: string,
): StairItem {
  const exercise = file.exercises.find((e) => e.id === item.exerciseId);
  if (!exercise) throw new RangeError("the plan names an exercise that the episode does not carry");
  const decision = file.decisions.filter((d) => d.itemId === item.itemId).at(-1);
  return {
    itemId: item.itemId,
    exercise,
    lane: item.lane,
    prescription: item.prescription,
    variantName: variantOf(exercise, item.prescription.variantId).name,
    maximumN: item.maximumN,
    prescribedAt: item.prescribedAt,
    proposal: item.proposal,
    alternatives: alternatives(exercise, item.prescription, limits, today),
    progress: laneProgress(exercise, item.prescription),
    lastDecision: decision ? { action: decision.action, at: decision.at, signedBy: decision.signedBy } : null,
  };
}

/** Which training day is open, and for which one a report can still be given and is not in. */
export function openDays({ file }: LoadedCase): Pick<StairView, "openDay" | "reportDay" | "lastSessionOn"> {
  const today = localDay(file.asOf, file.zone);
  const states = caseDays(file).map((day) => {
    const state = trainingDayState(day, file.asOf);
    const inTime = elapsedDays(day.lastSessionAt, file.asOf) * 24 <= reportCountsHours;
    return { date: day.date, state, canReport: state !== "reported" && day.date < today && inTime };
  });
  return {
    openDay: states.filter((s) => s.state === "open").at(-1)?.date ?? null,
    reportDay: states.filter((s) => s.canReport).at(-1)?.date ?? null,
    lastSessionOn: states.at(-1)?.date ?? null,
  };
}
