import { earlyReference, firstUninvolved, type EarlyPercent } from "~/core/measure/early-reference";
import { limbSymmetry } from "~/core/measure/limb-symmetry";
import { lsiProbability } from "~/core/measure/lsi-probability";
import type { Measure } from "~/core/measure/measure";
import { otherSide, type DayValue } from "~/core/measure/side-value";
import { symmetryError, valueError } from "~/core/measure/value-error";
import {
  certaintyOfValue,
  earlier,
  findMeasure,
  judge,
  nothing,
  unknownError,
  type Certainty,
  type CriterionOf,
  type Evaluator,
  type Finding,
  type GateRecord,
  type Measured,
} from "./criterion-finding";
import { comparablePair, ofUncomparable } from "./comparable-pair";

/** Above this the other side may be the weak one, and somebody has to say so (common practice). */
const plausiblePercent = 115;

/**
 * Limb symmetry index: the involved side against the other, both taken in the same way at most 14 days apart. Above 115 % it is
 * not passed without a clinician's word on the other side. 'Within so many per cent of each other' asks the
 * smaller against the larger, whichever side that is, and so can be asked of two involved sides and of a back.
 */
export const symmetry: Evaluator<"symmetry"> = (criterion, record) => {
  const measure = findMeasure(criterion.measure, record);
  const percent: Finding = { ...nothing, unit: "%" };
  if (measure.sides === "none") return { ...percent, verdict: "undefined", note: "two-leg-measure" };
  const isTwoSided = criterion.twoSided === true;
  const involved = record.involvedSide === "both" ? "left" : record.involvedSide;
  if (record.involvedSide === "both" && !isTwoSided)
    return { ...percent, verdict: "undefined", note: "both-sides-injured" };
  const pair = comparablePair(measure, involved, otherSide(involved) ?? "right", record.results);
  if (pair.found === "nothing") return percent;
  if (pair.found === "one-side") return { ...percent, note: "needs-the-other-side" };
  if (pair.found === "not-comparable")
    return { ...percent, ...ofUncomparable(pair, criterion, record.today) };
  const [small, large] = pair.one.value <= pair.other.value ? [pair.one, pair.other] : [pair.other, pair.one];
  const better = isTwoSided ? "higher" : measure.better;
  const [top, bottom] = isTwoSided ? [small, large] : [pair.one, pair.other];
  const divisor = better === "higher" ? bottom : top;
  if (divisor.value <= 0) return { ...percent, verdict: "undefined", note: "other-side-is-zero" };
  const { lsiPercent } = limbSymmetry({ involved: top.value, uninvolved: bottom.value, better });
  const dated = { value: lsiPercent, takenOn: earlier(pair.one, pair.other) };
  const certainty = certaintyOfIndex(criterion, measure, top, bottom, lsiPercent, better);
  const early = isTwoSided ? null : earlyPercent(measure, pair.one.value, record);
  const judged = { ...judge(criterion, record, dated, "%", certainty), note: "other-side" as const, early };
  const isTooGood = criterion.comparison === ">=" && lsiPercent > plausiblePercent + 1e-9;
  return isTooGood && judged.verdict !== "stale"
    ? { ...judged, verdict: "undefined", note: "above-115" }
    : judged;
};

/** By the error of both sides; failing that, by a published error of the index itself. */
function certaintyOfIndex(
  criterion: CriterionOf<"symmetry">,
  measure: Measure,
  involved: DayValue,
  uninvolved: DayValue,
  lsiPercent: number,
  better: Measure["better"],
): Certainty {
  const errors = [valueError(measure, involved.results), valueError(measure, uninvolved.results)] as const;
  if (errors[0] && errors[1] && involved.value > 0 && uninvolved.value > 0) {
    const { probability, low95, high95 } = lsiProbability({
      involved: involved.value,
      uninvolved: uninvolved.value,
      semInvolved: errors[0].sem,
      semUninvolved: errors[1].sem,
      thresholdPercent: criterion.threshold,
      better,
    });
    return { probability: criterion.comparison === ">=" ? probability : 1 - probability, low95, high95 };
  }
  const sem = symmetryError(measure);
  return sem === null ? unknownError : certaintyOfValue(criterion as Measured, lsiPercent, sem);
}

function earlyPercent(measure: Measure, involvedNow: number, record: GateRecord): EarlyPercent | null {
  const first = firstUninvolved(measure, record.involvedSide, record.everything, record.surgeryOn);
  const divisor = measure.better === "higher" ? (first?.value ?? 0) : involvedNow;
  if (!first || divisor <= 0) return null;
  const { percent } = earlyReference({ involvedNow, uninvolvedFirst: first.value, better: measure.better });
  return { percent, takenOn: first.takenOn, kind: first.kind };
}
