import { backExtension, curlMachine, extension, proneLift } from "./face-down";
import { foursHip, fullRock, oppositeReach } from "./hands-and-knees";
import { type Recipe } from "./parts";
import { adductionPlank, frontPlank, plankLift, pushUp, sidePlankHold, sidePlankLift } from "./planks";
import { clam, sideLift } from "./side-lying";

export const floorFigures: Readonly<Record<string, Recipe>> = {
  "side-lying-lift": sideLift,
  clam,
  "front-plank": frontPlank,
  "plank-leg-lift": plankLift,
  "push-up": pushUp,
  "side-plank": sidePlankHold,
  "side-plank-lift": sidePlankLift,
  "side-lying-adduction": adductionPlank,
  "rock-back": fullRock,
  "hands-and-knees-hip": foursHip,
  "opposite-reach": oppositeReach,
  "prone-leg-lift": proneLift,
  "belly-up-extension": extension,
  "back-extension": backExtension,
  "curl-machine": curlMachine,
};
