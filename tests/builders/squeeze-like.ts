import { ballSqueeze } from "~/catalogue/exercises/adductors";
import type { Exercise, Variant } from "~/core/exercise/exercise";

/** An exercise of the groin like the ball squeeze in all but its name, its variants and what is given. */
export const squeezeLike = (id: string, variants: Variant[], over: Partial<Exercise> = {}): Exercise => ({
  ...ballSqueeze,
  id,
  name: id,
  regions: ["groin"],
  variants,
  ...over,
});
