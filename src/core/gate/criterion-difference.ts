import { otherSide } from "~/core/measure/side-value";
import { earlier, findMeasure, judge, nothing, unknownError, type Evaluator } from "./criterion-finding";
import { comparablePair, ofUncomparable } from "./comparable-pair";

/** How far the two sides lie apart, in the measure's unit, whichever is the better one; taken in the same way, at most 14 days apart. */
export const difference: Evaluator<"difference"> = (criterion, record) => {
  const measure = findMeasure(criterion.measure, record);
  const none = { ...nothing, unit: measure.unit };
  if (measure.sides === "none") return { ...none, verdict: "undefined", note: "two-leg-measure" };
  const side = record.involvedSide === "both" ? "left" : record.involvedSide;
  const pair = comparablePair(measure, side, otherSide(side) ?? "right", record.results);
  if (pair.found === "nothing") return none;
  if (pair.found === "one-side") return { ...none, note: "needs-the-other-side" };
  if (pair.found === "not-comparable") return { ...none, ...ofUncomparable(pair, criterion, record.today) };
  const dated = {
    value: Math.abs(pair.one.value - pair.other.value),
    takenOn: earlier(pair.one, pair.other),
  };
  return { ...judge(criterion, record, dated, measure.unit, unknownError), note: "other-side" };
};
