import type { StageNeed } from "~/core/progression/stage-need";
import { bendLimit, forbid, knobLimit, need, onTwoLegs } from "./need";

const noAdductorStretch = forbid("no adductor stretching in this stage", "adductor-stretch");
const noImpact = forbid("no jumping or running in this stage", "impact");
const capsule = forbid(
  "the capsule heals: nothing forced, no straight-leg raise",
  "forced-hip-extension",
  "forced-hip-rotation",
  "straight-leg-raise",
  "impact",
);

/** Groin, hamstring, hip arthroscopy and impingement-type hip pain. */
export const hipAndThighNeeds: readonly StageNeed[] = [
  need(
    "groin-strain",
    "protect",
    "early",
    ["adductors", "mobility", "trunk", "balance"],
    [noAdductorStretch, noImpact],
  ),
  need(
    "groin-strain",
    "isometric",
    "isolated",
    [["adductors", "early"], "hip-abductors", "hip-extensors", "trunk", "balance", "mobility"],
    [noAdductorStretch, noImpact],
  ),
  need(
    "groin-strain",
    "build",
    "compound",
    ["adductors", "hip-abductors", "knee-extensors", "hamstrings", "hip-extensors", "trunk", "balance"],
    [noImpact],
  ),
  need("groin-strain", "load-and-spring", "spring", [
    "adductors",
    "hip-abductors",
    "knee-extensors",
    "hamstrings",
    "trunk",
    "landing",
  ]),
  need("groin-strain", "run-and-return", "running", [
    "running",
    "landing",
    "adductors",
    "hamstrings",
    "trunk",
  ]),
  need("groin-strain", "keep", "running", ["adductors", "hip-abductors", "trunk", "landing"]),

  need(
    "hamstring-strain",
    "protect-and-hold",
    "early",
    ["hamstrings", "mobility", "trunk", "hip-extensors"],
    [forbid("no lengthening of the hamstring yet", "hamstring-lengthening", "impact"), onTwoLegs],
  ),
  need(
    "hamstring-strain",
    "bridge-and-lengthen",
    "isolated",
    ["hamstrings", "hip-extensors", "trunk", "calf", "mobility", ["running", "compound"]],
    [forbid("lengthening under load waits for the next stage", "hamstring-lengthening")],
  ),
  need(
    "hamstring-strain",
    "lengthen-under-load",
    "compound",
    ["hamstrings", "hip-extensors", "trunk", "calf", "balance", ["running", "running"]],
    [knobLimit("speed", 80, "runs stay at or below 80 %")],
  ),
  need("hamstring-strain", "fast-running", "running", [
    "running",
    "hamstrings",
    "hip-extensors",
    "landing",
    "trunk",
  ]),
  need("hamstring-strain", "keep", "running", ["hamstrings", "running", "trunk", "landing"]),

  need(
    "hip-arthroscopy",
    "protect",
    "early",
    ["mobility", "hip-extensors", "knee-extensors", "trunk", "hip-rotators"],
    [capsule, bendLimit("hip", 90, "hip bend stays within 90°"), onTwoLegs],
  ),
  need(
    "hip-arthroscopy",
    "control",
    "isolated",
    [
      "hip-abductors",
      "hip-extensors",
      "hip-rotators",
      "trunk",
      ["balance", "compound"],
      ["knee-extensors", "compound"],
      "mobility",
    ],
    [forbid("no forced end range, no impact yet", "forced-hip-extension", "forced-hip-rotation", "impact")],
  ),
  need("hip-arthroscopy", "strength-and-profile", "spring", [
    "hip-abductors",
    "hip-extensors",
    "hip-rotators",
    "adductors",
    "hip-flexors",
    "knee-extensors",
    "hamstrings",
    "trunk",
    "balance",
    "landing",
  ]),
  need("hip-arthroscopy", "return-and-keep", "running", [
    "running",
    "landing",
    "hip-abductors",
    "hip-extensors",
    "adductors",
    "trunk",
  ]),

  need(
    "hip-impingement",
    "settle",
    "isolated",
    ["hip-abductors", "hip-extensors", "hip-rotators", "trunk", "mobility"],
    [bendLimit("hip", 90, "hip bend stays short of where it pinches"), noImpact],
  ),
  need(
    "hip-impingement",
    "strength",
    "compound",
    [
      "hip-abductors",
      "hip-extensors",
      "hip-rotators",
      "adductors",
      "knee-extensors",
      "hamstrings",
      "trunk",
      "balance",
    ],
    [noImpact],
  ),
  need("hip-impingement", "sport", "running", [
    "running",
    "landing",
    "hip-abductors",
    "hip-extensors",
    "adductors",
    "trunk",
  ]),
  need("hip-impingement", "keep", "running", ["hip-abductors", "hip-extensors", "adductors", "trunk"]),
];
