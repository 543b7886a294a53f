import { limbSymmetry } from "~/core/measure/limb-symmetry";
import type { Measure } from "~/core/measure/measure";
import { latestValue, otherSide, type DatedValue } from "~/core/measure/side-value";
import { squeezeReference } from "~/core/measure/squeeze-reference";
import { daysBetween } from "~/core/schedule/local-day";
import type { GateInput } from "./evaluate-gate";
import type { Criterion, CriterionResult } from "./gate";

type Finding = Pick<CriterionResult, "verdict" | "value" | "unit" | "takenOn" | "note">;
type Of<K extends Criterion["kind"]> = Extract<Criterion, { kind: K }>;
type Evaluators = { [K in Criterion["kind"]]: (criterion: Of<K>, input: GateInput) => Finding };

const nothing: Finding = { verdict: "missing", value: null, unit: "1", takenOn: null, note: null };
const bothInjured: Finding = { ...nothing, verdict: "undefined", note: "both-sides-injured" };

/** How each kind of criterion is read from the record. */
export const criterionKinds: Evaluators = {
  value: (criterion, input) => {
    const measure = find(criterion.measure, input);
    const value = involvedValue(measure, input);
    return value ? judge(criterion, input, value, measure.unit) : { ...nothing, unit: measure.unit };
  },
  symmetry: (criterion, input) => {
    const measure = find(criterion.measure, input);
    const other = otherSide(input.involvedSide);
    if (!other) return { ...bothInjured, unit: "%" };
    const involved = latestValue(measure, input.involvedSide as "left" | "right", input.results);
    const uninvolved = latestValue(measure, other, input.results);
    if (!involved && !uninvolved) return { ...nothing, unit: "%" };
    const divisor = measure.better === "higher" ? uninvolved : involved;
    if (!involved || !uninvolved || !divisor || divisor.value <= 0) {
      return { ...nothing, unit: "%", note: "needs-the-other-side" };
    }
    const { lsiPercent } = limbSymmetry({
      involved: involved.value,
      uninvolved: uninvolved.value,
      better: measure.better,
    });
    const takenOn = involved.takenOn < uninvolved.takenOn ? involved.takenOn : uninvolved.takenOn;
    return { ...judge(criterion, input, { value: lsiPercent, takenOn }, "%"), note: "other-side" };
  },
  ratio: (criterion, input) => {
    const top = involvedValue(find(criterion.measure, input), input);
    const bottom = involvedValue(find(criterion.over, input), input);
    if (!top || !bottom || bottom.value <= 0) return nothing;
    const takenOn = top.takenOn < bottom.takenOn ? top.takenOn : bottom.takenOn;
    return judge(criterion, input, { value: top.value / bottom.value, takenOn }, "1");
  },
  "of-reference": (criterion, input) => {
    const measure = find(criterion.measure, input);
    const now = latestValue(measure, "none", input.results);
    const reference = squeezeReference(measure, input.results);
    if (!now || !reference || reference.valueN <= 0) return { ...nothing, unit: "%" };
    const value = { value: (now.value / reference.valueN) * 100, takenOn: now.takenOn };
    return { ...judge(criterion, input, value, "%"), note: reference.kind };
  },
  "within-rule": (criterion, input) => {
    const days = input.effortDays.filter((d) => d.exercise === criterion.exercise && d.closed);
    const reached = days.filter((d) => d.withinRule && d.effortPercent >= criterion.effortPercent - 1e-9);
    const dates = [...new Set(reached.map((d) => d.date))].sort();
    if (days.length === 0) return { ...nothing, unit: "d" };
    const verdict = dates.length >= criterion.closedDays ? "met" : "not-met";
    return { verdict, value: dates.length, unit: "d", takenOn: dates.at(-1) ?? null, note: null };
  },
};

/** The threshold a criterion's value is held against, for display and print. */
export function thresholdOf(criterion: Criterion): Pick<CriterionResult, "comparison" | "threshold"> {
  return criterion.kind === "within-rule"
    ? { comparison: ">=", threshold: criterion.closedDays }
    : { comparison: criterion.comparison, threshold: criterion.threshold };
}

function judge(
  criterion: Extract<Criterion, { threshold: number }>,
  input: GateInput,
  { value, takenOn }: DatedValue,
  unit: string,
): Finding {
  const passes = criterion.comparison === ">=" ? value >= criterion.threshold : value <= criterion.threshold;
  const stale = daysBetween(takenOn, input.today) > criterion.maxAgeDays;
  return { verdict: stale ? "stale" : passes ? "met" : "not-met", value, unit, takenOn, note: null };
}

/** Value of the involved side; where both are involved, the worse of the two. */
function involvedValue(measure: Measure, input: GateInput): DatedValue | null {
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
