import { criterionProbability, errorVerdict } from "~/core/measure/criterion-probability";
import { lsiProbability } from "~/core/measure/lsi-probability";
import type { Measure, MeasureResult } from "~/core/measure/measure";
import { latestValue, type DatedValue, type DayValue } from "~/core/measure/side-value";
import { daysBetween } from "~/core/schedule/local-day";
import type { GateInput } from "./gate-input";
import type { Criterion, CriterionResult } from "./gate";

export type Finding = Pick<
  CriterionResult,
  "verdict" | "value" | "unit" | "takenOn" | "note" | "probability" | "low95" | "high95" | "early"
>;
export type CriterionOf<K extends Criterion["kind"]> = Extract<Criterion, { kind: K }>;
export type Measured = Extract<Criterion, { threshold: number }>;

/** What criteria are read from: the values that count, and all there are, for references. */
export interface GateRecord extends GateInput {
  /** Results since the latest operation or re-injury, sub-maximal ones left out. */
  readonly results: MeasureResult[];
  /** Every standing result: what came before is an early reference. */
  readonly everything: readonly MeasureResult[];
}

/** Reads one kind of criterion from the record. */
export type Evaluator<K extends Criterion["kind"]> = (
  criterion: CriterionOf<K>,
  record: GateRecord,
) => Finding;

/** What is known of a value's error: the probability of passing, and the index's interval where there is one. */
export type Certainty = Pick<Finding, "probability" | "low95" | "high95">;

export const unknownError: Certainty = { probability: null, low95: null, high95: null };
export const nothing: Finding = {
  verdict: "missing",
  value: null,
  unit: "1",
  takenOn: null,
  note: null,
  early: null,
  ...unknownError,
};

/** Values that are held against each other lie at most so many days apart (common practice). */
export const togetherDays = 14;
export const areTogether = (a: string, b: string) => Math.abs(daysBetween(a, b)) <= togetherDays;

/** A value against its threshold: passed or not, within its error or beyond it, or too old. */
export function judge(
  { comparison, threshold, maxAgeDays }: Measured,
  { today }: Pick<GateInput, "today">,
  { value, takenOn }: DatedValue,
  unit: string,
  certainty: Certainty,
): Finding {
  const passes = comparison === ">=" ? value >= threshold : value <= threshold;
  const { probability } = certainty;
  const fresh = probability === null ? (passes ? "met" : "not-met") : errorVerdict(passes, probability);
  const verdict = daysBetween(takenOn, today) > maxAgeDays ? "stale" : fresh;
  return { ...nothing, ...certainty, verdict, value, unit, takenOn };
}

export function certaintyOfValue({ threshold, comparison }: Measured, value: number, sem: number): Certainty {
  return {
    ...unknownError,
    probability: criterionProbability({ value, threshold, comparison, sem }).probability,
  };
}

export function certaintyOfRatio(
  { threshold, comparison }: Measured,
  top: number,
  bottom: number,
  semInvolved: number,
  semUninvolved: number,
): Certainty {
  const { probability } = lsiProbability({
    involved: top,
    uninvolved: bottom,
    semInvolved,
    semUninvolved,
    thresholdPercent: threshold * 100,
    better: "higher",
  });
  return { ...unknownError, probability: comparison === ">=" ? probability : 1 - probability };
}

/** The older of two dates. */
export const earlier = (a: DatedValue, b: DatedValue) => (a.takenOn < b.takenOn ? a.takenOn : b.takenOn);

/** Value of the involved side; where both are involved, the worse of the two. */
export function involvedValue(measure: Measure, { involvedSide, results }: GateRecord): DayValue | null {
  if (measure.sides === "none") return latestValue(measure, "none", results);
  if (involvedSide !== "both") return latestValue(measure, involvedSide, results);
  const left = latestValue(measure, "left", results);
  const right = latestValue(measure, "right", results);
  if (!left || !right) return null;
  const leftIsWorse = measure.better === "higher" ? left.value <= right.value : left.value >= right.value;
  return leftIsWorse ? left : right;
}

/** The measure of a code. @throws RangeError when it is not among those given */
export function findMeasure(code: string, { measures }: Pick<GateInput, "measures">): Measure {
  const measure = measures.find((m) => m.code === code);
  if (!measure) throw new RangeError(`the gate names a measure that is not given: ${code}`);
  return measure;
}
