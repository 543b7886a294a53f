import type { DemandBook } from "~/core/demand/demand-book";
import { labelBook } from "~/core/demand/label-book";
import { Type, type Static } from "@sinclair/typebox";
import { changeBudget, harderThisWeek } from "~/core/decision/change-budget";
import { decideBy } from "~/core/decision/decide";
import { Proposal, type SignedChange } from "~/core/decision/record/decide-input";
import { laneReadiness, LaneReadiness } from "~/core/decision/lane-readiness";
import { reachedIn, viewRecord, withBudget, type RecordView } from "~/core/decision/record/record-view";
import { asFarAsStageGoes } from "~/core/decision/rules/step-up";
import { stepQueue } from "~/core/decision/step-queue";
import { dosePolicy } from "~/core/dose/dose-policy";
import { evaluateGate } from "~/core/gate/evaluate-gate";
import { measuresIn } from "~/core/gate/measures-in";
import { GateResult, type EffortDay } from "~/core/gate/gate";
import { stageOf, type Stage } from "~/core/pathway/pathway";
import { Lane } from "~/core/exercise/body";
import { Prescription } from "~/core/exercise/prescription";
import { isStepped, ItemRole } from "~/core/exercise/role";
import { adherenceNeeded } from "~/core/response/lane-adherence";
import { PainSchoolCode } from "~/core/response/pain-school";
import { symptomClock, SymptomClock } from "./symptom-clock";
import { painSchool } from "~/core/response/pain-school";
import { localDay } from "~/core/schedule/local-day";
import { caseDays } from "~/core/case/case-days";
import type { CaseFile } from "~/core/case/case-file";
import { judgedItem, type JudgedItem } from "./flare-trace";
import { dayPains, lastReaction, lowestOf, rebaselineDays, withPlan } from "./plan-context";
import { lanesAdherence, lanesTrained } from "./lanes-adherence";
import {
  barredMeasures,
  gateDates,
  passingInForce,
  prescriptionInForce,
  schoolInForce,
  wordsOf,
} from "~/core/case/in-force";
import { moveInForce } from "~/core/case/stage-in-force";
import { arrangedItems } from "~/core/case/arranged";
import { itemInput } from "~/core/case/item-input";
import { haltsOf } from "~/core/case/stops";

export const ItemReview = Type.Object({
  itemId: Type.String(),
  exerciseId: Type.String(),
  lane: Lane,
  /** What it is in the plan for. */
  role: ItemRole,
  /** The circuit it is done in, counted from 1, and the rest from round to round; null outside of one. */
  circuit: Type.Union([Type.Object({ number: Type.Integer(), restSeconds: Type.Integer() }), Type.Null()]),
  prescription: Prescription,
  prescriptionId: Type.String(),
  prescribedAt: Type.String({ format: "date-time" }),
  /** Maximal voluntary force, N, that effort bands are taken from; null when not measured. */
  maximumN: Type.Union([Type.Number(), Type.Null()]),
  /** How far was reached on the last day at this prescription, centimetres; absent where nobody measured it. */
  reachedCm: Type.Optional(Type.Number()),
  proposal: Proposal,
});
export type ItemReview = Static<typeof ItemReview>;

/** Where the patient stands, what the gate says, how each lane stands to it, and one proposal for each item of the plan. */
export const CaseReview = Type.Object({
  asOf: Type.String({ format: "date-time" }),
  stage: Type.String(),
  stageEnteredOn: Type.String({ format: "date" }),
  school: PainSchoolCode,
  gate: Type.Union([GateResult, Type.Null()]),
  lanes: Type.Array(LaneReadiness),
  changeBudget: Type.Object({ used: Type.Integer(), limit: Type.Integer() }),
  /** 'No change in three weeks', beside whatever is proposed; null while there is nothing to say. */
  symptomClock: Type.Union([SymptomClock, Type.Null()]),
  /** Days since anything of the plan was done, once everything is to be measured again; null before. */
  rebaselineDays: Type.Union([Type.Integer(), Type.Null()]),
  items: Type.Array(ItemReview),
});
export type CaseReview = Static<typeof CaseReview>;

export interface ReviewOptions {
  /** Judges by this school instead of the one in force: a preview, nothing is altered. */
  readonly school?: PainSchoolCode;
  /** What settings ask of this body; what variants say of themselves where nobody knows it. */
  readonly book?: DemandBook;
}

/**
 * Reviews a whole episode from its case file: the one road by which the interface, the endpoints and the command
 * line come to a judgement.
 *
 * @param options another school, and what settings ask of this body
 */
export function reviewCase(
  file: CaseFile,
  { school = schoolInForce(file), book = labelBook }: ReviewOptions = {},
): CaseReview {
  const today = localDay(file.asOf, file.zone);
  const move = moveInForce(file);
  const stage = stageOf(file.pathway, move.stage);
  const stageEnteredOn = localDay(move.at, file.zone);
  const days = caseDays(file);
  const plan = arrangedItems(file);
  const items = plan.map(({ item }) => judgedItem(item, itemInput(file, days, item, stage, school, plan)));
  const adherence = lanesAdherence(file, days, items, today);
  const trained = lanesTrained(file, days, items, stage, { today, stageEnteredOn });
  const pains = dayPains(days, items);
  const inputs = withPlan(file, days, items, adherence, pains, today, book).map((entry) => ({
    ...entry,
    view: viewRecord(entry.input, entry.days, book),
  }));
  const lanes = laneReadiness(
    stage.lanes.map(({ lane }) => lane),
    inputs.map(({ item, view }) => ({ lane: item.lane, asFarAsItGoes: asFarAsItGoes(view) })),
    trained,
  );
  const gate = stage.gate
    ? evaluateGate({
        gate: stage.gate,
        ...gateDates(file),
        stageEnteredOn,
        today,
        involvedSide: file.episode.involvedSide,
        passing: passingInForce(file),
        measures: file.measures,
        results: file.results,
        effortDays: items.flatMap(effortDaysOf),
        ...(file.person === undefined ? {} : { person: file.person }),
        words: wordsOf(file, stage.code),
        barred: barredMeasures(file, stage),
        halts: haltsOf(file).map(({ code }) => code),
        lanesLeftOut: stage.lanes
          .map(({ lane }) => lane)
          .filter((lane) => (trained.get(lane) ?? adherenceNeeded) < adherenceNeeded),
      })
    : null;
  const budget = changeBudget(signedChanges(file), {
    today,
    zone: file.zone,
    careful: isCareful(file, stage),
  });
  const first = inputs.map(({ item, view }) => ({
    itemId: item.id,
    lane: item.lane,
    proposal: decideBy(view),
  }));
  const counted = inputs
    .filter(({ input }) => harderThisWeek(input.changes, { today, zone: file.zone }))
    .map(({ item }) => item.id);
  const queue = stepQueue(first, blockingLanes(file, stage, gate, items), new Set(counted));
  return {
    asOf: file.asOf,
    stage: stage.code,
    stageEnteredOn,
    school,
    gate,
    lanes,
    changeBudget: budget,
    symptomClock: symptomClock({
      days: pains,
      goMax: painSchool(school).goMax,
      adherencePercent: lowestOf(adherence),
      nextDayFine: lastReaction(items) === "fine",
      today,
    }),
    rebaselineDays: rebaselineDays(inputs.map(({ view }) => view)),
    items: inputs.map(({ item, input, view }, i) => {
      const ahead = queue.get(item.id);
      const within = ahead === undefined || budget.used + ahead < budget.limit;
      const proposal = within ? first[i]?.proposal : undefined;
      const reachedCm = reachedIn(view);
      return {
        itemId: item.id,
        exerciseId: item.exerciseId,
        lane: item.lane,
        role: input.role ?? "main",
        circuit: plan[i]?.circuit ?? null,
        prescription: input.prescription,
        prescriptionId: prescriptionInForce(item, file.asOf).id,
        prescribedAt: input.prescribedAt,
        maximumN: input.maximumN ?? null,
        ...(reachedCm === null ? {} : { reachedCm }),
        proposal: proposal ?? decideBy(withBudget(view, { ...budget, ahead: ahead ?? 0 })),
      };
    }),
  };
}

/** Two harder items a week when the site is irritable or in the first stage. */
export function isCareful(file: CaseFile, stage: Stage): boolean {
  return file.episode.irritability === "high" || stage === file.pathway.stages[0];
}

/** Signed changes up to `asOf`, item by item; what has left the plan since counts for the week as well. */
function signedChanges(file: CaseFile): SignedChange[][] {
  return file.items.map((item) =>
    file.decisions
      .filter((d) => d.itemId === item.id && d.at <= file.asOf)
      .flatMap((d) => (d.signedChange ? [d.signedChange] : [])),
  );
}

function asFarAsItGoes(view: RecordView): boolean {
  const { role = "main", prescription } = view.input;
  return !isStepped(role) || !dosePolicy(prescription.dose.policy).steps || asFarAsStageGoes(view);
}

/** Lanes that keep the gate shut: left out, named by an effort criterion, or gauged by a measure that is not met. */
function blockingLanes(
  file: CaseFile,
  stage: Stage,
  gate: GateResult | null,
  items: readonly JudgedItem[],
): ReadonlySet<Lane> {
  if (!gate || gate.outcome === "open") return new Set();
  const open = new Set(gate.criteria.filter((c) => c.required && !c.passes).map((c) => c.id));
  const criteria = (stage.gate?.criteria ?? []).filter((criterion) => open.has(criterion.id));
  const gauged = items.filter(({ input: { exercise } }) =>
    criteria.some((c) =>
      c.kind === "within-rule"
        ? c.exercise === exercise.id
        : exercise.gauge !== undefined && measuresIn(c).includes(exercise.gauge),
    ),
  );
  const site = criteria.length > 0 ? [file.pathway.siteLane] : [];
  return new Set([...(gate.lanesLeftOut ?? []), ...gauged.map(({ item }) => item.lane), ...site]);
}

/** What gates read of an item's days: the lowest effort of the day's sets, in per cent of the maximum. */
function effortDaysOf({ item, input, days }: JudgedItem): EffortDay[] {
  const { maximumN } = input;
  if (maximumN === undefined) return [];
  return input.trainingDays.flatMap((day, i) => {
    const forces = day.sets.map((set) => set.forceN).filter((n): n is number => n !== undefined);
    const judgement = days[i];
    if (forces.length === 0 || !judgement) return [];
    const withinRule = judgement.during === "go" && judgement.nextDay === "fine";
    const effortPercent = (Math.min(...forces) / maximumN) * 100;
    return [
      {
        exercise: item.exerciseId,
        date: day.date,
        closed: judgement.state !== "open",
        withinRule,
        effortPercent,
      },
    ];
  });
}
