import { oneOf } from "~/core/schema/one-of";

/** Capacities that a stage trains; a progression belongs to one of them. */
export const laneCodes = [
  "knee-extensors",
  "hamstrings",
  "adductors",
  "hip-abductors",
  "hip-extensors",
  "hip-flexors",
  "hip-rotators",
  "trunk",
  "calf",
  "balance",
  "landing",
  "running",
  "mobility",
  "upper-body",
] as const;

/** Muscles and groups as electromyography and clinicians name them. */
export const muscles = [
  "quadriceps",
  "hamstrings",
  "adductors",
  "gluteus-maximus",
  "gluteus-medius",
  "gluteus-minimus",
  "tensor-fasciae-latae",
  "hip-flexors",
  "hip-external-rotators",
  "hip-internal-rotators",
  "abdominals",
  "obliques",
  "back-extensors",
  "quadratus-lumborum",
  "gastrocnemius",
  "soleus",
  "tibialis-anterior",
  "foot-intrinsics",
  "shoulder-girdle",
] as const;

export const regions = ["hip", "groin", "thigh", "knee", "lower-leg", "ankle", "back", "shoulder"] as const;

/** Body positions, so that somebody who cannot kneel or get to the floor is not asked to. */
export const bodyPositions = [
  "supine",
  "prone",
  "side-lying",
  "kneeling",
  "hands-and-knees",
  "sitting",
  "standing",
] as const;

/** The chain that nearly every lower-limb pathway follows; each variant has its place in it. */
export const phases = ["range", "isometric", "isolated", "compound", "spring", "running"] as const;

/** What a surgeon or a pathway may forbid outright, whatever the knobs say. */
export const forbidCodes = [
  "resisted-knee-flexion",
  "open-chain-knee-extension",
  "straight-leg-raise",
  "adductor-stretch",
  "hamstring-lengthening",
  "end-range-lumbar-extension",
  "loaded-lumbar-flexion",
  "forced-hip-extension",
  "forced-hip-rotation",
  "kneeling",
  "impact",
  "pivoting",
] as const;

export const Lane = oneOf(laneCodes, "A capacity that a stage trains");
export const Muscle = oneOf(muscles);
export const Region = oneOf(regions);
export const BodyPosition = oneOf(bodyPositions);
export const Phase = oneOf(phases, "Place in the chain from first movement to sport");
export const ForbidCode = oneOf(forbidCodes);
export type Lane = (typeof laneCodes)[number];
export type Muscle = (typeof muscles)[number];
export type Region = (typeof regions)[number];
export type Phase = (typeof phases)[number];
export type ForbidCode = (typeof forbidCodes)[number];
