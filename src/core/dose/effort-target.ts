import { Type, type Static } from "@sinclair/typebox";

export const EffortTargetInput = Type.Object(
  {
    maximumN: Type.Number({
      exclusiveMinimum: 0,
      exclusiveMaximum: 5000,
      description: "Maximal voluntary force, newtons",
    }),
    lowPercent: Type.Number({
      exclusiveMinimum: 0,
      maximum: 100,
      description: "Lower end of the effort band, %",
    }),
    highPercent: Type.Number({
      exclusiveMinimum: 0,
      maximum: 100,
      description: "Upper end, %, not below the lower",
    }),
  },
  { additionalProperties: false },
);

export const EffortTargetOutput = Type.Object({ lowN: Type.Number(), highN: Type.Number() });

/**
 * Force aimed at for an effort band given in per cent of the maximal voluntary contraction.
 *
 * @param input maximum in newtons (0 < N < 5000) and the band in per cent (0 < low ≤ high ≤ 100; the caller checks the order)
 * @returns the band in newtons, unrounded
 * @example effortTarget({ maximumN: 180, lowPercent: 50, highPercent: 70 }) // { lowN: 90, highN: 126 }
 * Source: arithmetic; common practice for isometric work.
 */
export function effortTarget(input: Static<typeof EffortTargetInput>): Static<typeof EffortTargetOutput> {
  return {
    lowN: (input.maximumN * input.lowPercent) / 100,
    highN: (input.maximumN * input.highPercent) / 100,
  };
}
