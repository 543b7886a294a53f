import { Type, type Static } from "@sinclair/typebox";

export const JumpHeightInput = Type.Object(
  { flightSeconds: Type.Number({ exclusiveMinimum: 0, maximum: 1.5 }) },
  { additionalProperties: false },
);
export const JumpHeightOutput = Type.Object({ heightM: Type.Number() });

/** Standard gravity as this product rounds it, m/s². */
export const gravity = 9.81;

/**
 * Jump height from time in the air: g·t²/8, for a landing in the posture of the take-off.
 *
 * @example jumpHeight({ flightSeconds: 0.5 }) // { heightM: 0.3065625 }
 * Source: mechanics (free flight).
 */
export function jumpHeight({
  flightSeconds: t,
}: Static<typeof JumpHeightInput>): Static<typeof JumpHeightOutput> {
  return { heightM: (gravity * t ** 2) / 8 };
}
