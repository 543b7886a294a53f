import type { Exercise } from "~/core/progression/exercise";
import { adductorSlide, ballSqueeze, sideLyingAdduction } from "./adductors";
import { hipRange, rebounds, runningSteps, singleLegStance } from "./spring-and-range";
import { bridge, frontPlank, hinge, sideLyingLift, sideStepUp, squat } from "./strength";

/** The exercises a new clinic starts with. */
export const startingExercises: readonly Exercise[] = [
  ballSqueeze,
  adductorSlide,
  sideLyingAdduction,
  squat,
  sideStepUp,
  hinge,
  bridge,
  sideLyingLift,
  frontPlank,
  hipRange,
  singleLegStance,
  rebounds,
  runningSteps,
];
