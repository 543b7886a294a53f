import { variantOf, type Exercise } from "~/core/exercise/exercise";
import { knobByName } from "~/core/exercise/knob";
import type { Prescription } from "~/core/exercise/prescription";

/**
 * What a reach is aimed at after somebody reached so far: a step of their own more, whatever the rungs of the ladder say.
 *
 * @param reachedCm centimetres, as measured
 * @returns whole centimetres; null where this exercise's reach is no ladder of one's own, or nobody reaches so far
 * Source: common practice.
 */
export function aimFarther(
  exercise: Exercise,
  { variantId }: Prescription,
  reachedCm: number,
): number | null {
  const turn = variantOf(exercise, variantId).turns.find(({ knob }) => knob === "reach");
  if (!turn || !("ladder" in turn) || turn.ownStep === undefined) return null;
  const aim = Math.round(reachedCm) + turn.ownStep;
  return knobByName("reach").accepts(aim) ? aim : null;
}
