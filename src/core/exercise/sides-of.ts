import type { Exercise } from "./exercise";
import type { Prescription } from "./prescription";

/** How the legs take part: they share the work, each has its own sets, or only one has. */
export type WorkSides = Exercise["sides"] | "one-side";

/**
 * Whether both legs share the work, each has its own sets, or only one works: by how the legs stand in this prescription, else
 * as the exercise says.
 *
 * @example sidesOf({ sides: "both-together" }, { settings: { laterality: "single" }, leg: "other" }) // "one-side"
 */
export function sidesOf(
  exercise: Pick<Exercise, "sides">,
  { settings, leg }: Pick<Prescription, "settings" | "leg">,
): WorkSides {
  const { laterality } = settings;
  const isShared = laterality === undefined ? exercise.sides === "both-together" : laterality === "both";
  if (isShared) return "both-together";
  return leg === undefined ? "each-side" : "one-side";
}
