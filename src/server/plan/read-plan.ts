import type { DemandBook } from "~/core/demand/demand-book";
import type { SignedChange } from "~/core/decision/record/decide-input";
import { nextHarder } from "~/core/decision/record/next-harder";
import { doseMinutes } from "~/core/dose/dose-minutes";
import { planTotals, type CountedItem } from "~/core/progression/plan-totals";
import { countedItem } from "~/core/progression/counted-item";
import { planPieces } from "~/core/progression/plan-time";
import { priming } from "~/core/progression/priming";
import { usualOrder } from "~/core/progression/usual-order";
import { itemNames } from "~/messages/item-names";
import type { Prescription } from "~/core/exercise/prescription";
import { planMinutes } from "~/core/dose/plan-minutes";
import type { NextStep, PlanItem, PlanView } from "~/contract/plan";
import { episodeState } from "~/core/episode/episode-turn";
import { measuredHeight } from "~/core/case/measured-body";
import type { CaseFile, CaseItem } from "~/core/case/case-file";
import { limitsOf, limitsOfItem } from "~/core/case/in-force";
import { signedChangesOf } from "~/core/case/item-input";
import type { ItemReview } from "~/core/review/review-case";
import { stageOf } from "~/core/pathway/pathway";
import { easier } from "~/core/progression/easier";
import { variantOf, type Exercise } from "~/core/exercise/exercise";
import type { Harder } from "~/core/progression/harder";
import { obstacle } from "~/core/limit/obstacle";
import type { Restriction } from "~/core/limit/restriction";
import { sidesOf } from "~/core/exercise/sides-of";
import { localDay } from "~/core/schedule/local-day";
import { signingRoles } from "~/contract/roles";
import { exerciseName } from "~/server/case/exercise-name";
import { patientName } from "~/server/case/patient-name";
import type { StaffContext } from "~/server/staff-context";
import type { LoadedCase } from "~/server/case/make-case";
import { loadBody } from "~/server/case/load-body";
import { loadEpisode, noteRead } from "~/server/case/load-episode";
import { told } from "~/server/episode/limits-told";
import { lastPlanAct } from "./last-plan-act";

/** The plan of a patient: items with dose, minutes, and the next harder and easier setting of each. */
export async function readPlan(staff: StaffContext, episodeId: string): Promise<PlanView> {
  const loaded = await loadEpisode(staff, episodeId);
  await noteRead(staff, episodeId, "read-plan");
  return planView(staff, loaded);
}

/** Builds the plan from a loaded case. */
export function planView(staff: StaffContext, loaded: LoadedCase): PlanView {
  const { head, file, circumstances } = loaded;
  const review = loaded.review();
  const stage = stageOf(file.pathway, review.stage);
  const limits = limitsOf(file, stage);
  const today = localDay(file.asOf, file.zone);
  const known = review.items.map((item) => ({ ...item, exercise: exerciseOf(file.exercises, item) }));
  const names = itemNames(known);
  const usual = usualOrder(known);
  const items = known.map((item) =>
    planItem(item, {
      exercise: item.exercise,
      name: names.get(item.itemId) ?? item.exercise.name,
      usualPlace: usual.indexOf(item),
      beside: known
        .filter((other) => other.exerciseId === item.exerciseId && other !== item)
        .map((other) => other.prescription),
      changes: signedChangesOf(file, item.itemId),
      restrictions: limitsOfItem(file, stage, caseItemOf(file, item.itemId)),
      against: caseItemOf(file, item.itemId).against ?? null,
      today,
      book: loaded.book(),
    }),
  );
  const filled = new Set(items.map((item) => item.lane));
  const stageLanes = stage.lanes.map((entry) => entry.lane);
  return {
    episodeId: head.id,
    version: head.version,
    person: patientName(loaded),
    involvedSide: head.involvedSide,
    heightM: measuredHeight(file),
    body: loadBody(file),
    stageName: stage.name,
    pathway: file.pathway.code,
    stage: stage.code,
    items,
    time: planMinutes(planPieces(known)),
    totals: planTotals(countedItems(loaded), circumstances?.minutesPerDay ?? null, planPieces(known)),
    unprimed: priming(known).map(({ exercise, primer }) => ({
      exerciseId: exercise.id,
      exerciseName: exercise.name,
      variantName: variantOf(exercise, primer.variantId).name,
      primer,
    })),
    emptyLanes: stageLanes.filter((lane) => !filled.has(lane)),
    stageLanes,
    // Stage and calendar may say the same.
    limits: [...new Set(limits.filter((limit) => told(limit, today)).map((limit) => limit.says))],
    circumstances,
    changeBudget: review.changeBudget,
    undo: undoOf(loaded),
    maySign: signingRoles.includes(staff.role) && episodeState(head) === "active",
  };
}

function undoOf(loaded: LoadedCase): PlanView["undo"] {
  const last = lastPlanAct(loaded);
  const name = exerciseName(loaded.file, last?.itemId);
  return last && name !== null ? { ...last, name } : null;
}

/** The items of the plan as they count towards its sums. */
export function countedItems(loaded: LoadedCase): CountedItem[] {
  const book = loaded.book();
  return loaded
    .review()
    .items.map((item) => countedItem(exerciseOf(loaded.file.exercises, item), item.prescription, book));
}

function planItem(
  { itemId, lane, role, circuit, prescription, maximumN, reachedCm, proposal }: ItemReview,
  {
    exercise,
    name,
    usualPlace,
    beside,
    changes,
    restrictions,
    against,
    today,
    book,
  }: {
    exercise: Exercise;
    name: string;
    usualPlace: number;
    beside: Prescription[];
    changes: SignedChange[];
    restrictions: Restriction[];
    against: NonNullable<CaseItem["against"]> | null;
    today: string;
    book: DemandBook;
  },
): PlanItem {
  const variant = variantOf(exercise, prescription.variantId);
  return {
    itemId,
    exerciseId: exercise.id,
    exerciseName: exercise.name,
    name,
    role,
    circuit,
    usualPlace,
    variantName: variant.name,
    lane,
    drawnLike: exercise.drawnLike ?? null,
    prescription,
    maximumN,
    time: doseMinutes({ dose: prescription.dose, sides: sidesOf(exercise, prescription) }),
    harder: nextStep(
      exercise,
      nextHarder({ exercise, prescription, changes, restrictions, beside }, today, book, reachedCm ?? null),
    ),
    easier: nextStep(exercise, easier(exercise, prescription, { restrictions, today, book })),
    stopped: proposal.outcome === "stop",
    against: against && { limits: against.limits.map(({ says }) => says), reason: against.reason },
    blockedBy: obstacle(prescription, variant, exercise, restrictions, today, book)?.says ?? null,
  };
}

function nextStep(exercise: Exercise, found: Harder): NextStep {
  const nothing = { knob: null, from: null, to: null, variantName: null, stoppedBy: null };
  if (found.found === "restriction")
    return { ...nothing, knob: found.knob, stoppedBy: found.restriction.says };
  if (found.found !== "change") return nothing;
  const { kind, knob, from, to, prescription } = found.change;
  const variantName = kind === "variant" ? variantOf(exercise, prescription.variantId).name : null;
  return { ...nothing, knob, from, to, variantName };
}

function caseItemOf(file: CaseFile, itemId: string): CaseItem {
  const found = file.items.find(({ id }) => id === itemId);
  if (!found) throw new RangeError("the review names an item that the case does not have");
  return found;
}

function exerciseOf(exercises: readonly Exercise[], { exerciseId }: ItemReview): Exercise {
  const found = exercises.find((exercise) => exercise.id === exerciseId);
  if (!found) throw new RangeError("the plan names an exercise that the episode does not carry");
  return found;
}
