import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";

const seconds = Type.Number({ exclusiveMinimum: 0, maximum: 1200 });

export const TrunkEnduranceInput = Type.Object(
  { backS: seconds, frontS: seconds, rightS: seconds, leftS: seconds, sex: oneOf(["male", "female"]) },
  { additionalProperties: false },
);

const ofMean = Type.Number({ description: "% of the published mean for this sex" });
export const TrunkEnduranceOutput = Type.Object({
  frontToBack: Type.Number(),
  rightToLeft: Type.Number(),
  rightToBack: Type.Number(),
  leftToBack: Type.Number(),
  sidesDifferPercent: Type.Number(),
  backOfMeanPercent: ofMean,
  frontOfMeanPercent: ofMean,
  rightOfMeanPercent: ofMean,
  leftOfMeanPercent: ofMean,
});

/** Mean endurance times of healthy young adults, seconds. */
export const trunkEnduranceMeans = {
  male: { backS: 146, frontS: 144, rightS: 94, leftS: 97 },
  female: { backS: 189, frontS: 149, rightS: 72, leftS: 77 },
} as const;

/**
 * Balance between the endurance of back, front and both sides of the trunk, and each against the published means.
 *
 * @returns ratios, the difference of the sides in per cent of the better one, and shares of the means in per cent
 * @example trunkEnduranceRatios({ backS: 150, frontS: 120, rightS: 80, leftS: 84, sex: "male" }).frontToBack // 0.8
 * Source: McGill 1999, recalled.
 */
export function trunkEnduranceRatios(
  input: Static<typeof TrunkEnduranceInput>,
): Static<typeof TrunkEnduranceOutput> {
  const { backS, frontS, rightS, leftS, sex } = input;
  const mean = trunkEnduranceMeans[sex];
  return {
    frontToBack: frontS / backS,
    rightToLeft: rightS / leftS,
    rightToBack: rightS / backS,
    leftToBack: leftS / backS,
    sidesDifferPercent: (Math.abs(rightS - leftS) / Math.max(rightS, leftS)) * 100,
    backOfMeanPercent: (backS / mean.backS) * 100,
    frontOfMeanPercent: (frontS / mean.frontS) * 100,
    rightOfMeanPercent: (rightS / mean.rightS) * 100,
    leftOfMeanPercent: (leftS / mean.leftS) * 100,
  };
}
