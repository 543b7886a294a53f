import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";
import { z95 } from "./minimal-detectable-change";
import { normalCdf } from "./normal-cdf";

const positive = Type.Number({ exclusiveMinimum: 0 });

export const LsiProbabilityInput = Type.Object(
  {
    involved: positive,
    uninvolved: positive,
    semInvolved: positive,
    semUninvolved: positive,
    thresholdPercent: Type.Number({ exclusiveMinimum: 0, maximum: 300 }),
    better: oneOf(["higher", "lower"]),
  },
  { additionalProperties: false },
);

export const LsiProbabilityOutput = Type.Object({
  lsiPercent: Type.Number(),
  probability: Type.Number({ minimum: 0, maximum: 1 }),
  low95: Type.Number(),
  high95: Type.Number(),
});

/**
 * Probability that the true limb symmetry index reaches a threshold, and the index's 95 % interval, when top and
 * bottom of the ratio are independent normals with the given standard errors:
 * Φ((top − t·bottom)/√(s_top² + t²·s_bottom²)) with t = threshold/100, and
 * LSI ± 1.96·LSI·√((s_top/top)² + (s_bottom/bottom)²), not clamped.
 *
 * @param input both sides above zero, in one unit; where lower is better the ratio is turned round
 * @example lsiProbability({ involved: 90, uninvolved: 100, semInvolved: 4, semUninvolved: 4, thresholdPercent: 90, better: "higher" })
 *   // { lsiPercent: 90, probability: 0.5 }
 * Source: error propagation (delta method) for a ratio; common practice.
 */
export function lsiProbability(
  input: Static<typeof LsiProbabilityInput>,
): Static<typeof LsiProbabilityOutput> {
  const involved = { value: input.involved, sem: input.semInvolved };
  const uninvolved = { value: input.uninvolved, sem: input.semUninvolved };
  const [top, bottom] = input.better === "higher" ? [involved, uninvolved] : [uninvolved, involved];
  const t = input.thresholdPercent / 100;
  const probability = normalCdf((top.value - t * bottom.value) / Math.hypot(top.sem, t * bottom.sem));
  const lsiPercent = (top.value / bottom.value) * 100;
  const halfWidth = z95 * lsiPercent * Math.hypot(top.sem / top.value, bottom.sem / bottom.value);
  return { lsiPercent, probability, low95: lsiPercent - halfWidth, high95: lsiPercent + halfWidth };
}
