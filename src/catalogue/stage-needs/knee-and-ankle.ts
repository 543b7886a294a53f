import type { StageNeed } from "~/core/progression/stage-need";
import { bendLimit, forbid, knobLimit, need, onTwoLegs } from "./need";

const noImpact = forbid("no jumping or running in this stage", "impact");
const noKneeling = forbid("no kneeling on the knee yet", "kneeling", "impact");

/** Kneecap, tendon, ligament, meniscus, ankle and calf. */
export const kneeAndAnkleNeeds: readonly StageNeed[] = [
  need(
    "kneecap-pain",
    "calm",
    "isolated",
    ["hip-abductors", "hip-extensors", "hip-rotators", "knee-extensors", "trunk"],
    [noKneeling, bendLimit("knee", 90, "knee bend stays within 90°")],
  ),
  need(
    "kneecap-pain",
    "capacity",
    "compound",
    ["knee-extensors", "hip-abductors", "hip-extensors", "calf", "trunk", "balance"],
    [noKneeling],
  ),
  need(
    "kneecap-pain",
    "single-leg-control",
    "compound",
    ["knee-extensors", "hip-abductors", "hip-extensors", "balance", "calf", "trunk"],
    [noImpact],
  ),
  need("kneecap-pain", "run-and-jump", "running", [
    "running",
    "landing",
    "knee-extensors",
    "hip-abductors",
    "calf",
  ]),

  need("tendon-pain", "isometric", "early", ["knee-extensors", "hip-extensors", "calf", "trunk"], [noImpact]),
  need(
    "tendon-pain",
    "heavy-slow",
    "compound",
    ["knee-extensors", "hip-extensors", "hamstrings", "calf", "trunk"],
    [noImpact],
  ),
  need("tendon-pain", "energy-storage", "spring", ["landing", "knee-extensors", "calf", "hip-extensors"]),
  need("tendon-pain", "sport-and-keep", "running", ["running", "landing", "knee-extensors", "calf"]),

  need(
    "ligament-reconstruction",
    "before-surgery",
    "compound",
    ["knee-extensors", "hamstrings", "hip-abductors", "mobility", "balance"],
    [noImpact],
  ),
  need(
    "ligament-reconstruction",
    "recover",
    "early",
    ["mobility", "knee-extensors", "hip-extensors", "trunk", "calf"],
    [
      noKneeling,
      onTwoLegs,
      bendLimit("knee", 125, "as the knee allows, to 125°"),
      forbid(
        "no open-chain extension and no resisted bending yet",
        "open-chain-knee-extension",
        "resisted-knee-flexion",
      ),
    ],
  ),
  need(
    "ligament-reconstruction",
    "strength-and-control",
    "compound",
    ["knee-extensors", "hamstrings", "hip-abductors", "hip-extensors", "calf", "balance", "trunk"],
    [noImpact],
  ),
  need("ligament-reconstruction", "run-jump-turn", "running", [
    "running",
    "landing",
    "knee-extensors",
    "hamstrings",
    "hip-abductors",
    "calf",
    "balance",
    "trunk",
  ]),
  need("ligament-reconstruction", "sport", "running", [
    "running",
    "landing",
    "knee-extensors",
    "hamstrings",
    "hip-abductors",
    "balance",
    "trunk",
  ]),
  need("ligament-reconstruction", "keep", "running", [
    "knee-extensors",
    "hamstrings",
    "landing",
    "balance",
    "trunk",
  ]),

  need(
    "meniscus-partial",
    "settle",
    "early",
    ["mobility", "knee-extensors", "hip-extensors", "calf"],
    [noKneeling, onTwoLegs],
  ),
  need(
    "meniscus-partial",
    "strength",
    "compound",
    ["knee-extensors", "hamstrings", "hip-abductors", "calf", "balance"],
    [noKneeling],
  ),
  need("meniscus-partial", "spring-and-run", "running", ["running", "landing", "knee-extensors", "balance"]),
  need("meniscus-partial", "keep", "running", ["knee-extensors", "hip-abductors", "balance"]),

  need(
    "meniscus-repair",
    "protect",
    "early",
    ["mobility", "knee-extensors", "hip-extensors", "trunk"],
    [
      noKneeling,
      onTwoLegs,
      bendLimit("knee", 90, "knee bend stays within 90° for six weeks"),
      forbid("no resisted bending while the repair heals", "resisted-knee-flexion"),
    ],
  ),
  need(
    "meniscus-repair",
    "strength",
    "compound",
    ["knee-extensors", "hip-abductors", "hip-extensors", "calf", "balance", "hamstrings"],
    [noKneeling, bendLimit("knee", 90, "no deep loaded bend before sixteen weeks")],
  ),
  need("meniscus-repair", "spring-and-run", "running", [
    "running",
    "landing",
    "knee-extensors",
    "hamstrings",
    "balance",
  ]),
  need("meniscus-repair", "keep", "running", ["knee-extensors", "hamstrings", "balance"]),

  need(
    "meniscus-prevention",
    "control",
    "compound",
    ["knee-extensors", "hip-abductors", "hamstrings", "balance"],
    [noImpact],
  ),
  need("meniscus-prevention", "land", "spring", ["landing", "knee-extensors", "hip-abductors", "balance"]),
  need("meniscus-prevention", "keep", "running", ["landing", "knee-extensors", "balance"]),

  need("ankle-and-calf", "move", "early", ["mobility", "calf", "balance"], [noImpact]),
  need(
    "ankle-and-calf",
    "strength",
    "compound",
    ["calf", "balance", "hip-abductors", "knee-extensors"],
    [noImpact],
  ),
  need(
    "ankle-and-calf",
    "spring",
    "spring",
    ["landing", "calf", "balance"],
    [knobLimit("drop-height", 20, "drops stay at or below 20 cm")],
  ),
  need("ankle-and-calf", "run-and-keep", "running", ["running", "landing", "calf", "balance"]),
];
