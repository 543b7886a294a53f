import type { Measure } from "~/core/measure/measure";
import { measuresIn } from "./measures-in";
import type { Criterion, CriterionResult, MeasureNext } from "./gate";

const usualMinutes = 3;
/** A fresh failure is not measured again within a week. */
const againAfterDays = 7;

/**
 * What to measure so that the gate can be decided, in the shortest order: what costs the least for each criterion it
 * decides comes first. Asked for are required criteria that are missing, too old, within error of their threshold, or
 * failed at least a week ago; what is met and fresh is left alone. What must come last of all (a fast leg raise) does.
 *
 * @returns one entry for each measure, with the criteria it decides
 */
export function measureNext(
  criteria: readonly Criterion[],
  results: readonly CriterionResult[],
  measures: readonly Measure[],
): MeasureNext[] {
  const open = criteria.filter((criterion) => {
    const result = results.find((r) => r.id === criterion.id);
    return criterion.required && result !== undefined && wantsMeasuring(result);
  });
  const decides = new Map<string, string[]>();
  for (const criterion of open) {
    for (const code of measuresIn(criterion)) decides.set(code, [...(decides.get(code) ?? []), criterion.id]);
  }
  const entries = [...decides].map(([measure, ids]): MeasureNext => {
    const minutes = measures.find((m) => m.code === measure)?.minutes ?? usualMinutes;
    return { measure, minutes, criteria: ids };
  });
  const price = ({ minutes, criteria: ids }: MeasureNext) => minutes / ids.length;
  const isLast = ({ measure }: MeasureNext) => (measures.find((m) => m.code === measure)?.last ? 1 : 0);
  return entries.sort(
    (a, b) => isLast(a) - isLast(b) || price(a) - price(b) || a.measure.localeCompare(b.measure),
  );
}

function wantsMeasuring({ verdict, ageDays, note }: CriterionResult): boolean {
  if (verdict === "not-met") return (ageDays ?? 0) >= againAfterDays;
  if (verdict === "undefined") return note === "not-comparable";
  return verdict !== "met";
}
