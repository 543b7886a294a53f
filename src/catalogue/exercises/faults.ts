import type { Exercise } from "~/core/exercise/exercise";

type Fault = Exercise["faults"][number];

const fault = (
  code: string,
  name: string,
  view: NonNullable<Fault["view"]>,
  phase: NonNullable<Fault["phase"]>,
): Fault => ({ code, name, view, phase });

/** Faults that many exercises share, with the side they are seen from and when; common practice. */
export const kneeIn: Fault = { ...fault("knee-in", "Knee drifts inward", "front", "down"), steersKnee: true };
export const kneesOut = fault(
  "knees-out",
  "Knees go so far out that the foot rolls to its edge",
  "front",
  "bottom",
);
export const pelvisDrops = fault("pelvis-drops", "Pelvis drops on the free side", "front", "bottom");
export const pelvisTurns = fault("pelvis-turns", "Pelvis turns to shorten the way", "front", "down");
export const hipHike = fault("hip-hike", "Hip hikes", "front", "up");
export const trunkLeans = fault("trunk-leans", "Trunk leans sideways", "front", "down");
export const pushOff = fault("push-off", "Lower leg pushes off", "side", "up");
export const heelsLift = fault("heels-lift", "Heels lift", "side", "bottom");
export const archCollapses = fault("arch-collapses", "Arch of the foot collapses", "front", "bottom");
export const shift = fault("shift", "Weight shifts to the good side", "front", "up");
export const backRounds = fault("back-rounds", "Back rounds", "side", "bottom");
export const backArches = fault("back-arches", "Low back arches", "side", "up");
export const backSags = fault("back-sags", "Low back sags", "side", "throughout");
export const hipRolls = fault("hip-rolls", "Hip rolls backward", "back", "up");
export const momentum = fault("momentum", "Swings instead of lifting", "side", "up");
export const drops = fault("drops", "Drops the last part instead of lowering it", "side", "down");
export const loud = fault("loud", "Heavy, loud landing", "side", "bottom");
export const bounces = fault("bounces", "Bounces out of the bottom", "side", "bottom");
export const limp = fault("limp", "Limps or shortens one step", "back", "throughout");
export const holdsBreath = fault("holds-breath", "Holds the breath", "side", "throughout");
export const oneSidePushes = fault("one-side-pushes", "One knee does the pushing", "front", "throughout");
