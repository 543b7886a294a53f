import type { Exercise } from "~/core/exercise/exercise";
import { adductorExercises } from "./adductors";
import { withAsks } from "./asks";
import { backRangeExercises } from "./back-range";
import { balanceExercises } from "./balance";
import { calfExercises } from "./calf";
import { earlyPressExercises } from "./early-presses";
import { hamstringExercises } from "./hamstrings";
import { lyingAbductorExercises } from "./lying-abductors";
import { standingAbductorExercises } from "./standing-abductors";
import { hipRotatorExercises } from "./hip-rotators";
import { hipFlexorExercises } from "./hip-flexors";
import { glutealExercises } from "./gluteals";
import { kneeExtensorExercises } from "./knee-extensors";
import { kneeExtensionExercises } from "./knee-extension";
import { landingExercises } from "./landing";
import { hopExercises } from "./hops";
import { hingeExercises } from "./hinges";
import { bridgeExercises } from "./bridges";
import { rangeExercises } from "./range";
import { stretchExercises } from "./stretches";
import { runningExercises } from "./running";
import { singleLegExercises } from "./single-leg";
import { stepExercises } from "./steps";
import { squatExercises } from "./squats";
import { floorFormExercises } from "./floor-forms";
import { partWorkExercises } from "./part-work";
import { pullExercises } from "./pulls";
import { shoulderExercises } from "./shoulder";
import { trunkExercises } from "./trunk";
import { upperBodyExercises } from "./upper-body";

/** The exercises a new clinic starts with. */
export const startingExercises: readonly Exercise[] = [
  ...rangeExercises,
  ...stretchExercises,
  ...backRangeExercises,
  ...kneeExtensorExercises,
  ...kneeExtensionExercises,
  ...squatExercises,
  ...singleLegExercises,
  ...stepExercises,
  ...hingeExercises,
  ...bridgeExercises,
  ...hamstringExercises,
  ...adductorExercises,
  ...lyingAbductorExercises,
  ...standingAbductorExercises,
  ...hipRotatorExercises,
  ...hipFlexorExercises,
  ...glutealExercises,
  ...trunkExercises,
  ...balanceExercises,
  ...calfExercises,
  ...landingExercises,
  ...hopExercises,
  ...runningExercises,
  ...upperBodyExercises,
  ...shoulderExercises,
  ...partWorkExercises,
  ...pullExercises,
  ...floorFormExercises,
  ...earlyPressExercises,
].map(withAsks);
