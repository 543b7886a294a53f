import { Type, type Static } from "@sinclair/typebox";

export const TorqueInput = Type.Object(
  {
    forceN: Type.Number({ minimum: 0, exclusiveMaximum: 5000 }),
    leverM: Type.Number({ exclusiveMinimum: 0, maximum: 2 }),
    bodyMassKg: Type.Number({ minimum: 20, maximum: 300 }),
  },
  { additionalProperties: false },
);
export const TorqueOutput = Type.Object({ torqueNm: Type.Number(), torqueNmPerKg: Type.Number() });

/**
 * Torque of a force at a lever arm, and per kilogram of body mass.
 *
 * @example torque({ forceN: 300, leverM: 0.35, bodyMassKg: 70 }) // { torqueNm: 105, torqueNmPerKg: 1.5 }
 * Source: mechanics.
 */
export function torque({
  forceN,
  leverM,
  bodyMassKg,
}: Static<typeof TorqueInput>): Static<typeof TorqueOutput> {
  const torqueNm = forceN * leverM;
  return { torqueNm, torqueNmPerKg: torqueNm / bodyMassKg };
}
