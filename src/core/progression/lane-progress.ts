import { variantOf, type Exercise } from "~/core/exercise/exercise";
import { notch } from "./notch";
import type { Prescription } from "~/core/exercise/prescription";

/**
 * How far a prescription has come along its exercise, for drawing only: variants passed plus the share of the
 * present variant's ladders, over all variants.
 *
 * @returns 0 (easiest setting of the easiest variant) … 1 (hardest of the hardest)
 */
export function laneProgress(exercise: Exercise, prescription: Prescription): number {
  const variant = variantOf(exercise, prescription.variantId);
  const at = exercise.variants.indexOf(variant);
  const ladders = variant.turns.filter((turn) => "ladder" in turn);
  const shares = ladders.map((turn) => {
    const previous = notch(turn, prescription, -1);
    const passed = previous === null ? 0 : turn.ladder.indexOf(previous) + 1;
    return passed / (turn.ladder.length - 1);
  });
  const within = shares.length === 0 ? 0 : shares.reduce((sum, share) => sum + share, 0) / shares.length;
  return Math.min(1, (at + within * 0.999) / exercise.variants.length);
}
