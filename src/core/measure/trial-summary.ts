import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";
import { summariseTrials } from "./side-value";

export const TrialSummaryInput = Type.Object(
  {
    trials: Type.Array(Type.Number(), { minItems: 1, maxItems: 5 }),
    summary: oneOf(["best", "worst", "mean", "latest"]),
    better: oneOf(["higher", "lower"]),
  },
  { additionalProperties: false },
);
export const TrialSummaryOutput = Type.Object({
  value: Type.Number(),
  count: Type.Integer(),
  mean: Type.Number(),
  sd: Type.Union([Type.Number(), Type.Null()]),
  cvPercent: Type.Union([Type.Number(), Type.Null()]),
  repeat: Type.Boolean(),
});

const repeatAbovePercent = 10;

/**
 * Trials of one test as one value, with their scatter: sample standard deviation (n − 1) and coefficient of variation.
 *
 * @returns `sd` and `cvPercent` null for a single trial, `cvPercent` also where the mean is zero or below; `repeat` when
 *   the variation is above 10 %
 * @example trialSummary({ trials: [180, 190, 200], summary: "best", better: "higher" })
 *   // { value: 200, cvPercent: 5.26… }
 * Source: arithmetic; the limit of 10 % is common practice.
 */
export function trialSummary(input: Static<typeof TrialSummaryInput>): Static<typeof TrialSummaryOutput> {
  const { trials } = input;
  const count = trials.length;
  const mean = trials.reduce((sum, trial) => sum + trial, 0) / count;
  const squares = trials.reduce((sum, trial) => sum + (trial - mean) ** 2, 0);
  const sd = count > 1 ? Math.sqrt(squares / (count - 1)) : null;
  const cvPercent = sd !== null && mean > 0 ? (sd / mean) * 100 : null;
  return {
    value: summariseTrials(input, trials),
    count,
    mean,
    sd,
    cvPercent,
    repeat: cvPercent !== null && cvPercent > repeatAbovePercent,
  };
}
