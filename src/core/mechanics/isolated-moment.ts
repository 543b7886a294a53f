import { Type, type Static } from "@sinclair/typebox";
import { gravity } from "~/core/measure/jump-height";
import { mechanicsFields } from "./linkage-input";
import { wholeLeg } from "./linkage-model";
import { winter } from "./segments";

const common = {
  bodyMassKg: mechanicsFields.bodyMassKg,
  heightM: mechanicsFields.heightM,
  weightKg: Type.Optional(Type.Number({ minimum: 0, maximum: 500 })),
  weightAtM: Type.Optional(Type.Number({ minimum: 0, maximum: 1.5 })),
};
export const IsolatedMomentInput = Type.Union([
  Type.Object(
    {
      ...common,
      movement: Type.Literal("knee-extension-sitting"),
      kneeFlexionDeg: Type.Number({ minimum: 0, maximum: 90 }),
    },
    { additionalProperties: false },
  ),
  Type.Object(
    {
      ...common,
      movement: Type.Literal("side-lying-lift"),
      abductionDeg: Type.Number({ minimum: 0, maximum: 60 }),
    },
    { additionalProperties: false },
  ),
]);
export const IsolatedMomentOutput = Type.Object({ momentNm: Type.Number() });

const cosine = (deg: number) => Math.cos((deg * Math.PI) / 180);

/**
 * The moment of a limb and a weight on it about one joint: extending the knee in sitting with the thigh level, or lifting
 * a straight leg lying on the side. Shows where in the arc the work is hardest.
 *
 * @param input mass kg (20–300), height m (1.0–2.4), the weight kg (0–500) and how far from the joint it hangs m (0–1.5;
 *   the ankle when not given), the angle of the movement (knee 0–90°, abduction 0–60°)
 * @returns N·m
 * @example isolatedMoment({ bodyMassKg: 80, heightM: 1.8, movement: "side-lying-lift", abductionDeg: 60, weightKg: 0 }) // { momentNm: 24.9583… }
 * Source: statics; Winter 2009, recalled.
 */
export function isolatedMoment(
  input: Static<typeof IsolatedMomentInput>,
): Static<typeof IsolatedMomentOutput> {
  const { bodyMassKg: mass, heightM: height, weightKg = 0 } = input;
  if (input.movement === "knee-extension-sitting") {
    const ankleM = winter.length.shank * height;
    const shank = winter.mass.shank * mass * winter.centre.shank * ankleM;
    const foot = winter.mass.foot * mass * ankleM;
    const weight = weightKg * (input.weightAtM ?? ankleM);
    return { momentNm: gravity * cosine(input.kneeFlexionDeg) * (shank + foot + weight) };
  }
  const ankleM = wholeLeg.length * height;
  const leg = wholeLeg.mass * mass * wholeLeg.centre * ankleM;
  const weight = weightKg * (input.weightAtM ?? ankleM);
  return { momentNm: gravity * cosine(input.abductionDeg) * (leg + weight) };
}
