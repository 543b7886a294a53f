import { Type, type Static } from "@sinclair/typebox";

const centimetres = Type.Number({ exclusiveMinimum: 0, maximum: 300 });

export const ReachCompositeInput = Type.Object(
  {
    anteriorCm: centimetres,
    posteromedialCm: centimetres,
    posterolateralCm: centimetres,
    legLengthCm: centimetres,
  },
  { additionalProperties: false },
);
export const ReachCompositeOutput = Type.Object({ compositePercent: Type.Number() });

/**
 * Composite reach of a three-direction balance test: the sum of the reaches over three leg lengths, in per cent.
 *
 * @example reachComposite({ anteriorCm: 60, posteromedialCm: 95, posterolateralCm: 90, legLengthCm: 90 })
 *   // { compositePercent: 90.74… }
 * Source: Plisky 2006, recalled.
 */
export function reachComposite(
  input: Static<typeof ReachCompositeInput>,
): Static<typeof ReachCompositeOutput> {
  const sum = input.anteriorCm + input.posteromedialCm + input.posterolateralCm;
  return { compositePercent: (sum / (3 * input.legLengthCm)) * 100 };
}
