import type { Static } from "@sinclair/typebox";
import { boxHeight, type BoxHeightInput } from "./box-height";

/**
 * The step from which the other foot touches the floor at a knee bend of the leg that stands, pelvis level and the other leg
 * straight below it: by so much the hips have come down.
 *
 * @param input as boxHeight; the bend and shank of the leg on the step
 * @returns centimetres, unrounded
 * @example Math.round(stepHeight({ heightM: 1.8, kneeFlexionDeg: 60, shankInclinationDeg: 27 }).stepCm) // 12
 * Source: two links, Winter 2009, recalled.
 */
export function stepHeight(input: Omit<Static<typeof BoxHeightInput>, "seatOffsetCm">): { stepCm: number } {
  const straight = boxHeight({ ...input, kneeFlexionDeg: 0, shankInclinationDeg: 0 });
  return { stepCm: straight.hipHeightCm - boxHeight(input).hipHeightCm };
}
