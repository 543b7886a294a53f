import { chairStandNorm } from "~/core/measure/chair-stand-norm";
import { latestValue } from "~/core/measure/side-value";
import { findMeasure, judge, nothing, unknownError, type Evaluator, type Finding } from "./criterion-finding";

const tableAges = { from: 60, to: 94 } as const;

/** What the criterion asks of this person: the cut-off of their age and norm group; null where the table has none for them. */
export function chairStandCutoff(
  person: { ageYears: number; normGroup?: "male" | "female" } | undefined,
): number | null {
  if (!person?.normGroup || person.ageYears < tableAges.from || person.ageYears > tableAges.to) return null;
  return chairStandNorm({ age: person.ageYears, sex: person.normGroup, stands: 0 }).cutoff;
}

/** Rises from a chair in 30 s, not below the band of age and norm group; where the table has none, a clinician judges. */
export const chairStand: Evaluator<"chair-stand"> = (criterion, record) => {
  const measure = findMeasure(criterion.measure, record);
  const found = latestValue(measure, "none", record.results);
  const none: Finding = { ...nothing, unit: measure.unit };
  if (!found) return none;
  const cutoff = chairStandCutoff(record.person);
  if (cutoff === null)
    return {
      ...none,
      value: found.value,
      takenOn: found.takenOn,
      verdict: "undefined",
      note: "norm-unknown",
    };
  const asked = { comparison: ">=" as const, threshold: cutoff, maxAgeDays: criterion.maxAgeDays };
  return {
    ...judge({ ...criterion, ...asked } as never, record, found, measure.unit, unknownError),
    note: "age-band",
  };
};
