import type { Exercise } from "~/core/exercise/exercise";
import { adductorExercises } from "./adductors";
import { withAsks } from "./asks";
import { backRangeExercises } from "./back-range";
import { balanceAndCalfExercises } from "./balance-and-calf";
import { hamstringExercises } from "./hamstrings";
import { hipAbductorExercises } from "./hip-abductors";
import { hipRotatorExercises } from "./hip-rotators";
import { kneeExtensorExercises } from "./knee-extensors";
import { landingExercises } from "./landing";
import { posteriorChainExercises } from "./posterior-chain";
import { rangeExercises } from "./range";
import { runningExercises } from "./running";
import { singleLegExercises } from "./single-leg";
import { squatExercises } from "./squats";
import { trunkExercises } from "./trunk";
import { upperBodyExercises } from "./upper-body";

/** The exercises a new clinic starts with. */
export const startingExercises: readonly Exercise[] = [
  ...rangeExercises,
  ...backRangeExercises,
  ...kneeExtensorExercises,
  ...squatExercises,
  ...singleLegExercises,
  ...posteriorChainExercises,
  ...hamstringExercises,
  ...adductorExercises,
  ...hipAbductorExercises,
  ...hipRotatorExercises,
  ...trunkExercises,
  ...balanceAndCalfExercises,
  ...landingExercises,
  ...runningExercises,
  ...upperBodyExercises,
].map(withAsks);
