import { Type, type Static } from "@sinclair/typebox";

export const BodyWeightLoadInput = Type.Object(
  {
    bodyMassKg: Type.Number({ minimum: 20, maximum: 300 }),
    percent: Type.Number({ exclusiveMinimum: 0, maximum: 300 }),
  },
  { additionalProperties: false },
);
export const BodyWeightLoadOutput = Type.Object({ loadKg: Type.Number() });

/**
 * Load for a share of body weight, not rounded to the kit.
 *
 * @example bodyWeightLoad({ bodyMassKg: 70, percent: 20 }) // { loadKg: 14 }
 * Source: arithmetic.
 */
export function bodyWeightLoad(
  input: Static<typeof BodyWeightLoadInput>,
): Static<typeof BodyWeightLoadOutput> {
  return { loadKg: (input.bodyMassKg * input.percent) / 100 };
}
