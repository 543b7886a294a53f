import { criterionProbability, errorVerdict } from "~/core/measure/criterion-probability";
import { earlyReference, firstUninvolved, type EarlyPercent } from "~/core/measure/early-reference";
import { limbSymmetry } from "~/core/measure/limb-symmetry";
import { lsiProbability } from "~/core/measure/lsi-probability";
import type { Measure } from "~/core/measure/measure";
import { latestValue, otherSide, type DatedValue, type DayValue } from "~/core/measure/side-value";
import { squeezeReference } from "~/core/measure/squeeze-reference";
import { symmetryError, valueError } from "~/core/measure/value-error";
import { daysBetween } from "~/core/schedule/local-day";
import type { GateInput } from "./gate-input";
import type { Criterion, CriterionResult } from "./gate";

type Finding = Pick<
  CriterionResult,
  "verdict" | "value" | "unit" | "takenOn" | "note" | "probability" | "low95" | "high95" | "early"
>;
type Of<K extends Criterion["kind"]> = Extract<Criterion, { kind: K }>;
type Evaluators = { [K in Criterion["kind"]]: (criterion: Of<K>, input: GateInput) => Finding };
type Measured = Extract<Criterion, { threshold: number }>;

/** What is known of a value's error: the probability of passing, and the index's interval where there is one. */
type Certainty = Pick<Finding, "probability" | "low95" | "high95">;

const unknownError: Certainty = { probability: null, low95: null, high95: null };
const nothing: Finding = {
  verdict: "missing",
  value: null,
  unit: "1",
  takenOn: null,
  note: null,
  early: null,
  ...unknownError,
};

/** How each kind of criterion is read from the record. */
export const criterionKinds: Evaluators = {
  value: (criterion, input) => {
    const measure = find(criterion.measure, input);
    const value = involvedValue(measure, input);
    if (!value) return { ...nothing, unit: measure.unit };
    const error = valueError(measure, value.results);
    const certainty = error ? ofValue(criterion, value.value, error.sem) : unknownError;
    return judge(criterion, input, value, measure.unit, certainty);
  },
  symmetry: (criterion, input) => {
    const measure = find(criterion.measure, input);
    if (measure.sides === "none")
      return { ...nothing, unit: "%", verdict: "undefined", note: "two-leg-measure" };
    const other = otherSide(input.involvedSide);
    if (!other) return { ...nothing, unit: "%", verdict: "undefined", note: "both-sides-injured" };
    const involved = latestValue(measure, input.involvedSide as "left" | "right", input.results);
    const uninvolved = latestValue(measure, other, input.results);
    if (!involved && !uninvolved) return { ...nothing, unit: "%" };
    if (!involved || !uninvolved) return { ...nothing, unit: "%", note: "needs-the-other-side" };
    const divisor = measure.better === "higher" ? uninvolved : involved;
    if (divisor.value <= 0)
      return { ...nothing, unit: "%", verdict: "undefined", note: "other-side-is-zero" };
    const { lsiPercent } = limbSymmetry({
      involved: involved.value,
      uninvolved: uninvolved.value,
      better: measure.better,
    });
    const dated = { value: lsiPercent, takenOn: earlier(involved, uninvolved) };
    const certainty = ofSymmetry(criterion, measure, involved, uninvolved, lsiPercent);
    const early = earlyPercent(measure, involved.value, input);
    return { ...judge(criterion, input, dated, "%", certainty), note: "other-side", early };
  },
  ratio: (criterion, input) => {
    const [measureTop, measureBottom] = [find(criterion.measure, input), find(criterion.over, input)];
    const top = involvedValue(measureTop, input);
    const bottom = involvedValue(measureBottom, input);
    if (!top || !bottom || bottom.value <= 0) return nothing;
    const errors = [valueError(measureTop, top.results), valueError(measureBottom, bottom.results)] as const;
    const certainty =
      errors[0] && errors[1] && top.value > 0
        ? ofRatio(criterion, top.value, bottom.value, errors[0].sem, errors[1].sem)
        : unknownError;
    const dated = { value: top.value / bottom.value, takenOn: earlier(top, bottom) };
    return judge(criterion, input, dated, "1", certainty);
  },
  "of-reference": (criterion, input) => {
    const measure = find(criterion.measure, input);
    const now = latestValue(measure, "none", input.results);
    const reference = squeezeReference(measure, input.results);
    if (!now || !reference || reference.valueN <= 0) return { ...nothing, unit: "%" };
    const share = 100 / reference.valueN;
    const error = valueError(measure, now.results);
    const certainty = error ? ofValue(criterion, now.value * share, error.sem * share) : unknownError;
    const dated = { value: now.value * share, takenOn: now.takenOn };
    return { ...judge(criterion, input, dated, "%", certainty), note: reference.kind };
  },
  "within-rule": (criterion, input) => {
    const days = input.effortDays.filter((d) => d.exercise === criterion.exercise && d.closed);
    const reached = days.filter((d) => d.withinRule && d.effortPercent >= criterion.effortPercent - 1e-9);
    const dates = [...new Set(reached.map((d) => d.date))].sort();
    if (days.length === 0) return { ...nothing, unit: "d" };
    const verdict = dates.length >= criterion.closedDays ? "met" : "not-met";
    return { ...nothing, verdict, value: dates.length, unit: "d", takenOn: dates.at(-1) ?? null };
  },
};

/** The threshold a criterion's value is held against, for display and print. */
export function thresholdOf(criterion: Criterion): Pick<CriterionResult, "comparison" | "threshold"> {
  return criterion.kind === "within-rule"
    ? { comparison: ">=", threshold: criterion.closedDays }
    : { comparison: criterion.comparison, threshold: criterion.threshold };
}

function judge(
  { comparison, threshold, maxAgeDays }: Measured,
  input: GateInput,
  { value, takenOn }: DatedValue,
  unit: string,
  certainty: Certainty,
): Finding {
  const passes = comparison === ">=" ? value >= threshold : value <= threshold;
  const { probability } = certainty;
  const fresh = probability === null ? (passes ? "met" : "not-met") : errorVerdict(passes, probability);
  const verdict = daysBetween(takenOn, input.today) > maxAgeDays ? "stale" : fresh;
  return { ...nothing, ...certainty, verdict, value, unit, takenOn };
}

function ofValue({ threshold, comparison }: Measured, value: number, sem: number): Certainty {
  return {
    ...unknownError,
    probability: criterionProbability({ value, threshold, comparison, sem }).probability,
  };
}

/** By the error of both sides; failing that, by a published error of the index itself. */
function ofSymmetry(
  criterion: Measured,
  measure: Measure,
  involved: DayValue,
  uninvolved: DayValue,
  lsiPercent: number,
): Certainty {
  const errors = [valueError(measure, involved.results), valueError(measure, uninvolved.results)] as const;
  if (errors[0] && errors[1] && involved.value > 0 && uninvolved.value > 0) {
    const { probability, low95, high95 } = lsiProbability({
      involved: involved.value,
      uninvolved: uninvolved.value,
      semInvolved: errors[0].sem,
      semUninvolved: errors[1].sem,
      thresholdPercent: criterion.threshold,
      better: measure.better,
    });
    return { probability: criterion.comparison === ">=" ? probability : 1 - probability, low95, high95 };
  }
  const sem = symmetryError(measure);
  return sem === null ? unknownError : ofValue(criterion, lsiPercent, sem);
}

function ofRatio(
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

function earlyPercent(measure: Measure, involvedNow: number, input: GateInput): EarlyPercent | null {
  const first = firstUninvolved(measure, input.involvedSide, input.results, input.surgeryOn);
  const divisor = measure.better === "higher" ? (first?.value ?? 0) : involvedNow;
  if (!first || divisor <= 0) return null;
  const { percent } = earlyReference({ involvedNow, uninvolvedFirst: first.value, better: measure.better });
  return { percent, takenOn: first.takenOn, kind: first.kind };
}

const earlier = (a: DatedValue, b: DatedValue) => (a.takenOn < b.takenOn ? a.takenOn : b.takenOn);

/** Value of the involved side; where both are involved, the worse of the two. */
function involvedValue(measure: Measure, input: GateInput): DayValue | null {
  if (measure.sides === "none") return latestValue(measure, "none", input.results);
  if (input.involvedSide !== "both") return latestValue(measure, input.involvedSide, input.results);
  const left = latestValue(measure, "left", input.results);
  const right = latestValue(measure, "right", input.results);
  if (!left || !right) return null;
  const leftIsWorse = measure.better === "higher" ? left.value <= right.value : left.value >= right.value;
  return leftIsWorse ? left : right;
}

function find(code: string, input: GateInput): Measure {
  const measure = input.measures.find((m) => m.code === code);
  if (!measure) throw new RangeError(`the gate names a measure that is not given: ${code}`);
  return measure;
}
