import { Type, type Static } from "@sinclair/typebox";
import { decide } from "~/core/decision/decide";
import { Proposal, type DecideInput, type SignedChange } from "~/core/decision/decide-input";
import { after } from "~/core/decision/record-view";
import { flareSuspects } from "~/core/decision/flare-suspects";
import { evaluateGate } from "~/core/gate/evaluate-gate";
import { GateResult, type EffortDay, type Passing } from "~/core/gate/gate";
import { standingResults } from "~/core/measure/measure";
import { bestValue } from "~/core/measure/side-value";
import { datedLimits } from "~/core/pathway/dated-limits";
import { stageOf, type Stage } from "~/core/pathway/pathway";
import { Lane } from "~/core/progression/body";
import type { Exercise } from "~/core/progression/exercise";
import { Prescription } from "~/core/progression/prescription";
import type { Restriction } from "~/core/progression/restriction";
import { judgeDay, type DayJudgement } from "~/core/response/judge-day";
import { PainSchoolCode } from "~/core/response/pain-school";
import { addDays, localDay } from "~/core/schedule/local-day";
import type { CaseFile, CaseItem } from "./case-file";
import { caseDays, itemDays, type CaseDay } from "./case-days";

export const ItemReview = Type.Object({
  itemId: Type.String(),
  exerciseId: Type.String(),
  lane: Lane,
  prescription: Prescription,
  prescriptionId: Type.String(),
  prescribedAt: Type.String({ format: "date-time" }),
  /** Maximal voluntary force, N, that effort bands are taken from; null when not measured. */
  maximumN: Type.Union([Type.Number(), Type.Null()]),
  proposal: Proposal,
});
export type ItemReview = Static<typeof ItemReview>;

/** Where the patient stands, what the gate says, and one proposal for each item of the plan. */
export const CaseReview = Type.Object({
  asOf: Type.String({ format: "date-time" }),
  stage: Type.String(),
  stageEnteredOn: Type.String({ format: "date" }),
  school: PainSchoolCode,
  gate: Type.Union([GateResult, Type.Null()]),
  items: Type.Array(ItemReview),
});
export type CaseReview = Static<typeof CaseReview>;

const squeezeMeasure = "squeeze-force";

/**
 * Reviews a whole episode from its case file: the one road by which the interface, the endpoints and the command
 * line come to a judgement.
 *
 * @param school judges by this school instead of the one in force: a preview, nothing is altered
 */
export function reviewCase(file: CaseFile, school: PainSchoolCode = schoolInForce(file)): CaseReview {
  const today = localDay(file.asOf, file.zone);
  const move = latest(file.stageMoves, file.asOf);
  if (!move) throw new RangeError("the case has no stage");
  const stage = stageOf(file.pathway, move.stage);
  const days = caseDays(file);
  const current = file.items.filter(({ endedAt }) => endedAt === undefined || after(endedAt, file.asOf));
  const inputs = current.map((item) => ({ item, input: decideInput(file, days, item, stage, school) }));
  const suspects = flareSuspects(
    inputs.map(({ item, input }) => ({
      itemId: item.id,
      changes: input.changes,
      during: judged(input).at(-1)?.during ?? null,
      loadsSite: item.lane === file.pathway.siteLane,
    })),
    flareWindow(file, days),
  );
  const stageEnteredOn = localDay(move.at, file.zone);
  const effortDays = inputs.flatMap(({ item, input }) => effortDaysOf(item, input));
  return {
    asOf: file.asOf,
    stage: stage.code,
    stageEnteredOn,
    school,
    gate: stage.gate
      ? evaluateGate({
          gate: stage.gate,
          ...gateDates(file),
          stageEnteredOn,
          today,
          involvedSide: file.episode.involvedSide,
          passing: passingInForce(file),
          measures: file.measures,
          results: file.results,
          effortDays,
        })
      : null,
    items: inputs.map(({ item, input }) => ({
      itemId: item.id,
      exerciseId: item.exerciseId,
      lane: item.lane,
      prescription: input.prescription,
      prescriptionId: present(item, file.asOf).id,
      prescribedAt: input.prescribedAt,
      maximumN: input.maximumN ?? null,
      proposal: decide({ ...input, flareSuspect: suspects.includes(item.id) }),
    })),
  };
}

/** The school set last for this episode, else the stage's own. */
export function schoolInForce(file: CaseFile): PainSchoolCode {
  const set = latest(file.schools, file.asOf);
  if (set) return set.school;
  const move = latest(file.stageMoves, file.asOf);
  return move ? stageOf(file.pathway, move.stage).school : "monitored";
}

/** Everything that limits this patient's exercises: own limits, the pathway's by the calendar, and the stage's. */
export function limitsOf(file: CaseFile, stage: Stage): Restriction[] {
  const { onsetOn, surgeryOn, graft } = file.episode;
  return [...file.restrictions, ...datedLimits(file.pathway, surgeryOn ?? onsetOn, graft), ...stage.limits];
}

/** How gates are passed: as set last for this episode, else as the pathway says, else by the measured value. */
export function passingInForce(file: CaseFile): Passing {
  return latest(file.passings ?? [], file.asOf)?.passing ?? file.pathway.passing ?? "point";
}

/** The day minimum times count from, and the operation's where there was one. */
export function gateDates({ pathway, episode: { onsetOn, surgeryOn } }: CaseFile) {
  const counted = pathway.countsFrom === "surgery" ? (surgeryOn ?? onsetOn) : onsetOn;
  return surgeryOn === undefined ? { onsetOn: counted } : { onsetOn: counted, surgeryOn };
}

/** What `decide` needs to know of one item of the case. */
function decideInput(
  file: CaseFile,
  days: readonly CaseDay[],
  item: CaseItem,
  stage: Stage,
  school: PainSchoolCode,
): DecideInput {
  const exercise = exerciseOf(file, item.exerciseId);
  const current = present(item, file.asOf);
  const decisions = file.decisions.filter((d) => d.itemId === item.id && d.at <= file.asOf);
  const clearedAt = file.clearances
    .filter((c) => c.itemId === item.id)
    .map((c) => c.at)
    .sort()
    .at(-1);
  const answeredAt = decisions
    .map((d) => d.at)
    .sort()
    .at(-1);
  const maximumN = maximumFor(file, exercise, current.prescription);
  return {
    exercise,
    prescription: current.prescription,
    prescribedAt: current.from,
    school,
    involvedSide: file.episode.involvedSide,
    zone: file.zone,
    now: file.asOf,
    trainingDays: itemDays(days, item.id),
    changes: decisions.map((d) => d.signedChange).filter((c): c is SignedChange => c !== null),
    restrictions: limitsOf(file, stage),
    stopSignals: [],
    ...(maximumN === null ? {} : { maximumN }),
    ...(answeredAt === undefined ? {} : { answeredAt }),
    ...(clearedAt === undefined ? {} : { clearedAt }),
  };
}

/**
 * The maximum that an effort band is a share of: the best since the injury of the measure that gauges this exercise,
 * of the person or of the involved side (both involved: the weaker). Earlier or normed values are for gates.
 */
function maximumFor(file: CaseFile, exercise: Exercise, prescription: Prescription): number | null {
  if (!prescription.dose.effort) return null;
  const measure = file.measures.find((m) => m.code === (exercise.gauge ?? squeezeMeasure));
  if (!measure) return null;
  const { involvedSide } = file.episode;
  const each = involvedSide === "both" ? (["left", "right"] as const) : [involvedSide];
  const sides = measure.sides === "none" ? (["none"] as const) : each;
  const standing = standingResults(file.results);
  const best = sides.map((side) => bestValue(measure, side, standing)?.value ?? 0);
  return Math.min(...best) || null;
}

function exerciseOf(file: CaseFile, id: string): Exercise {
  const found = file.exercises.find((exercise) => exercise.id === id);
  if (!found) throw new RangeError(`the case names an exercise it does not carry: ${id}`);
  return found;
}

function present(item: CaseItem, asOf: string): CaseItem["prescriptions"][number] {
  const found = latest(
    item.prescriptions.map((entry) => ({ ...entry, at: entry.from })),
    asOf,
  );
  const fallback = item.prescriptions[0];
  if (!found && !fallback) throw new RangeError(`item ${item.id} has no prescription`);
  return (found ?? fallback) as CaseItem["prescriptions"][number];
}

function latest<T extends { at: string }>(entries: readonly T[], asOf: string): T | undefined {
  return entries
    .filter((entry) => Date.parse(entry.at) <= Date.parse(asOf))
    .sort((a, b) => Date.parse(a.at) - Date.parse(b.at))
    .at(-1);
}

function judged(input: DecideInput): DayJudgement[] {
  const { prescription, school, involvedSide, maximumN, now } = input;
  const context = { dose: prescription.dose, school, involvedSide, maximumN: maximumN ?? null, now };
  return input.trainingDays.map((day) => judgeDay(day, context));
}

/** Start of the last two training days, as an instant; changes since then are suspects of a flare. */
function flareWindow(file: CaseFile, days: readonly CaseDay[]): string {
  const from = days.slice(-2)[0];
  return from ? `${addDays(from.date, -1)}T12:00:00Z` : file.asOf;
}

/** What gates read of an item's days: the lowest effort of the day's sets, in per cent of the maximum. */
function effortDaysOf(item: CaseItem, input: DecideInput): EffortDay[] {
  const { maximumN } = input;
  if (maximumN === undefined) return [];
  const days = judged(input);
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
