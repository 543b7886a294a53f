import { Type, type Static } from "@sinclair/typebox";
import { gravity } from "~/core/measure/jump-height";
import { mechanicsFields } from "./linkage-input";
import { headArmsTrunk } from "./linkage-model";
import { winter } from "./segments";

export const KneelingLoweringInput = Type.Object(
  {
    bodyMassKg: mechanicsFields.bodyMassKg,
    heightM: mechanicsFields.heightM,
    forwardAngleDeg: Type.Number({ minimum: 0, maximum: 90 }),
  },
  { additionalProperties: false },
);
export const KneelingLoweringOutput = Type.Object({ kneeFlexorMomentNm: Type.Number() });

/**
 * What the hamstrings of one leg hold while a kneeling body, straight from knee to head, is lowered forward. The angle at
 * which control is lost is a test of strength.
 *
 * @param input mass kg (20–300), height m (1.0–2.4), forward angle from upright 0–90°
 * @returns N·m for each leg
 * @example kneelingLowering({ bodyMassKg: 80, heightM: 1.8, forwardAngleDeg: 0 }) // { kneeFlexorMomentNm: 0 }
 * Source: statics; Winter 2009, recalled.
 */
export function kneelingLowering(
  input: Static<typeof KneelingLoweringInput>,
): Static<typeof KneelingLoweringOutput> {
  const { bodyMassKg: mass, heightM: height, forwardAngleDeg } = input;
  const thighM = winter.length.thigh * height;
  // The thigh's centre is counted from the hip, so from the knee it is the rest.
  const thighs = 2 * winter.mass.thigh * mass * (1 - winter.centre.thigh) * thighM;
  const above = headArmsTrunk.mass * mass * (thighM + headArmsTrunk.centre * winter.length.trunk * height);
  return {
    kneeFlexorMomentNm: (gravity * Math.sin((forwardAngleDeg * Math.PI) / 180) * (thighs + above)) / 2,
  };
}
