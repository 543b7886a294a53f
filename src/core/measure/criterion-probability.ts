import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";
import { SemInput } from "./minimal-detectable-change";
import { normalCdf } from "./normal-cdf";

export const CriterionProbabilityInput = Type.Object(
  {
    value: Type.Number(),
    threshold: Type.Number(),
    comparison: oneOf([">=", "<="]),
    sem: SemInput.properties.sem,
  },
  { additionalProperties: false },
);

export const errorVerdicts = ["met", "met-within-error", "not-met-within-error", "not-met"] as const;
export const ErrorVerdict = oneOf(errorVerdicts);
export type ErrorVerdict = (typeof errorVerdicts)[number];

export const CriterionProbabilityOutput = Type.Object({
  probability: Type.Number({ minimum: 0, maximum: 1 }),
  verdict: ErrorVerdict,
});

const sure = 0.95;

/**
 * Probability that the true value passes a threshold, given the measured one and its standard error:
 * Φ((value − threshold)/sem), the sign turned for `<=`. The measured value itself passes when it reaches the
 * threshold.
 *
 * @returns `met` or `not-met` when the probability is at least 95 % that way, otherwise `…-within-error`
 * @example criterionProbability({ value: 90, threshold: 90, comparison: ">=", sem: 4 })
 *   // { probability: 0.5, verdict: "met-within-error" }
 * Source: normal error of measurement; common practice.
 */
export function criterionProbability(
  input: Static<typeof CriterionProbabilityInput>,
): Static<typeof CriterionProbabilityOutput> {
  const { value, threshold, comparison, sem } = input;
  const sign = comparison === ">=" ? 1 : -1;
  const probability = normalCdf((sign * (value - threshold)) / sem);
  const passes = comparison === ">=" ? value >= threshold : value <= threshold;
  return { probability, verdict: errorVerdict(passes, probability) };
}

/** The four ways of saying it, from the point value and the probability. */
export function errorVerdict(passes: boolean, probability: number): ErrorVerdict {
  if (passes) return probability >= sure ? "met" : "met-within-error";
  return probability <= 1 - sure ? "not-met" : "not-met-within-error";
}
