import type { StageNeed } from "~/core/progression/stage-need";
import { bendLimit, forbid, knobLimit, need, onTwoLegs } from "./need";

const noImpact = forbid("no jumping or running in this stage", "impact");
const noEndRange = forbid("no end-range bending backward", "end-range-lumbar-extension", "impact");
const lowBend = bendLimit("knee", 90, "low knee bend only");

/** Backs, stairs, single-leg confidence, and prehab in season. */
export const backAndGeneralNeeds: readonly StageNeed[] = [
  need(
    "back-stiff-extension",
    "find-and-free",
    "isolated",
    ["mobility", "trunk", "hip-extensors"],
    [noImpact],
  ),
  need(
    "back-stiff-extension",
    "load-again",
    "compound",
    ["trunk", "hip-extensors", "hamstrings", "knee-extensors", "mobility"],
    [noImpact],
  ),
  need("back-stiff-extension", "keep", "compound", ["trunk", "hip-extensors", "mobility"], [noImpact]),

  need(
    "slipped-vertebra",
    "settle",
    "early",
    ["trunk", "hip-extensors", "mobility"],
    [noEndRange, onTwoLegs],
  ),
  need(
    "slipped-vertebra",
    "endurance",
    "isolated",
    ["trunk", "hip-extensors", "hip-abductors", "knee-extensors", "balance"],
    [noEndRange],
  ),
  need(
    "slipped-vertebra",
    "strength",
    "compound",
    ["trunk", "hip-extensors", "hamstrings", "knee-extensors", "hip-abductors"],
    [noEndRange],
  ),
  need("slipped-vertebra", "keep", "compound", ["trunk", "hip-extensors", "hamstrings"], [noEndRange]),

  need(
    "stairs-again",
    "start",
    "isolated",
    ["hip-extensors", ["knee-extensors", "compound"], "calf", "hip-abductors", ["balance", "compound"]],
    [lowBend, noImpact],
  ),
  need(
    "stairs-again",
    "step",
    "compound",
    ["knee-extensors", "hip-extensors", "hip-abductors", "calf", "balance"],
    [lowBend, noImpact, knobLimit("step-height", 15, "steps stay at or below 15 cm")],
  ),
  need(
    "stairs-again",
    "stairs",
    "compound",
    ["knee-extensors", "hip-extensors", "calf", "balance"],
    [noImpact],
  ),
  need("stairs-again", "keep", "compound", ["knee-extensors", "calf", "balance"], [noImpact]),

  need(
    "single-leg-confidence",
    "hold-on",
    "compound",
    ["knee-extensors", "balance", "calf", "hip-abductors"],
    [noImpact, knobLimit("support", "one-hand", "always something to hold")],
  ),
  need(
    "single-leg-confidence",
    "one-leg",
    "compound",
    ["knee-extensors", "balance", "calf", "hip-extensors", "hip-abductors"],
    [noImpact],
  ),
  need("single-leg-confidence", "keep", "compound", ["knee-extensors", "balance", "calf"], [noImpact]),

  need("in-season-prehab", "in-season", "spring", [
    "adductors",
    "hamstrings",
    "calf",
    "knee-extensors",
    "trunk",
    "balance",
    "landing",
  ]),
  need("in-season-prehab", "off-season", "running", [
    "adductors",
    "hamstrings",
    "calf",
    "knee-extensors",
    "hip-abductors",
    "trunk",
    "balance",
    "landing",
    "running",
    "upper-body",
  ]),
];
