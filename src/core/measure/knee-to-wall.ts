import { Type, type Static } from "@sinclair/typebox";

export const KneeToWallInput = Type.Object(
  { distanceCm: Type.Number({ minimum: 0, maximum: 30 }) },
  { additionalProperties: false },
);
export const KneeToWallOutput = Type.Object({ dorsiflexionDeg: Type.Number() });

const degreesPerCentimetre = 3.6;

/**
 * Ankle dorsiflexion that a knee-to-wall distance stands for: about 3.6° for each centimetre.
 *
 * @example kneeToWall({ distanceCm: 10 }) // { dorsiflexionDeg: 36 }
 * Source: Bennell 1998, recalled.
 */
export function kneeToWall({ distanceCm }: Static<typeof KneeToWallInput>): Static<typeof KneeToWallOutput> {
  return { dorsiflexionDeg: distanceCm * degreesPerCentimetre };
}
