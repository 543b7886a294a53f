import { Type, type Static } from "@sinclair/typebox";

export const AdductorAbductorInput = Type.Object(
  {
    adductorN: Type.Number({ minimum: 0, exclusiveMaximum: 5000 }),
    abductorN: Type.Number({ exclusiveMinimum: 0, exclusiveMaximum: 5000 }),
  },
  { additionalProperties: false },
);
export const AdductorAbductorOutput = Type.Object({ ratio: Type.Number() });

/**
 * Strength of the adductors over that of the abductors of one hip.
 *
 * @example adductorAbductorRatio({ adductorN: 160, abductorN: 200 }) // { ratio: 0.8 }
 * Source: Tyler 2001, recalled (risk below 0.8).
 */
export function adductorAbductorRatio({
  adductorN,
  abductorN,
}: Static<typeof AdductorAbductorInput>): Static<typeof AdductorAbductorOutput> {
  return { ratio: adductorN / abductorN };
}
