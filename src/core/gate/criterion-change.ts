import { latestValue } from "~/core/measure/side-value";
import { findMeasure, judge, nothing, unknownError, type Evaluator } from "./criterion-finding";

/** How much a score of the person has changed since it was first taken after the injury or the operation; up is positive. */
export const change: Evaluator<"change"> = (criterion, record) => {
  const measure = findMeasure(criterion.measure, record);
  const none = { ...nothing, unit: measure.unit };
  const now = latestValue(measure, "none", record.results);
  const firstOn = record.results
    .filter((r) => r.measure === measure.code && r.occasion === "since-injury")
    .map((r) => r.takenOn)
    .sort()[0];
  if (!now || firstOn === undefined) return none;
  if (firstOn === now.takenOn) return { ...none, note: "needs-a-later-value" };
  const before = latestValue(
    measure,
    "none",
    record.results.filter((r) => r.takenOn === firstOn),
  );
  if (!before) return none;
  const dated = { value: now.value - before.value, takenOn: now.takenOn };
  return { ...judge(criterion, record, dated, measure.unit, unknownError), note: "since-the-first" };
};
