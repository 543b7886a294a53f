import type { Exercise } from "./exercise";
import type { Prescription } from "./prescription";

/**
 * Whether both legs share the work or each has its own sets: by how the legs stand in this prescription, else as
 * the exercise says.
 */
export function sidesOf(
  exercise: Pick<Exercise, "sides">,
  { settings }: Pick<Prescription, "settings">,
): Exercise["sides"] {
  const { laterality } = settings;
  if (laterality === undefined) return exercise.sides;
  return laterality === "both" ? "both-together" : "each-side";
}
