import type { Measure, MeasureResult } from "./measure";
import { standardError } from "./minimal-detectable-change";
import { trialSummary } from "./trial-summary";

/** How far a value may be from the truth, and how that is known. */
export interface ValueError {
  readonly sem: number;
  readonly from: "published" | "trials";
}

const trialsNeeded = 3;

/**
 * Standard error of a measure's value: as published for it; failing that, from the scatter of at least three trials of
 * the day (their standard deviation over √n).
 *
 * @param ofDay the results that made the value
 * @returns null where neither is known, or the trials did not differ at all
 */
export function valueError(measure: Measure, ofDay: readonly MeasureResult[]): ValueError | null {
  const published = measure.errors?.find((error) => error.of === "value");
  if (published) return { sem: standardError(published), from: "published" };
  const trials = ofDay.flatMap((result) => result.trials ?? []);
  if (trials.length < trialsNeeded) return null;
  const { sd, count } = trialSummary({ trials: trials.slice(-5), summary: "mean", better: measure.better });
  return sd ? { sem: sd / Math.sqrt(count), from: "trials" } : null;
}

/** Standard error of the limb symmetry index, in per cent, where one is published for the measure. */
export function symmetryError(measure: Measure): number | null {
  const published = measure.errors?.find((error) => error.of === "symmetry");
  return published ? standardError(published) : null;
}
