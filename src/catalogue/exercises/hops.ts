import type { Exercise } from "~/core/exercise/exercise";
import { commonPractice, recalled } from "../source";
import { dose, from, ladder, load, loads, progression } from "./compose";
import { kneeIn, loud, pelvisDrops, trunkLeans } from "./faults";

const springDose = dose("plyometric");
const kneesIn = { ...kneeIn, name: "Knees drift inward" };

export const lineHops: Exercise = {
  id: "line-hops",
  name: "Hops over a line",
  family: "hop",
  lane: "landing",
  alsoTrains: ["hip-abductors", "balance"],
  muscles: ["gluteus-medius", "gastrocnemius", "quadriceps"],
  regions: ["hip", "knee", "ankle"],
  loads: loads("moderate", "moderate", "low"),
  sides: "each-side",
  effort: "moderate",
  feltIn: "calf, thigh and side of the hip",
  cues: ["Small, quick, quiet", "Knee stays over the foot"],
  faults: [kneeIn, pelvisDrops, loud],
  forbiddenBy: ["impact"],
  activation: [
    {
      variantId: "line-hops-across",
      muscle: "gluteus-medius",
      meanPercent: 57,
      sdPercent: 35,
      source: recalled("Distefano 2009"),
      leftOut: "twelve exercises of healthy, active adults; no bridges, no loads, no patients",
    },
    {
      variantId: "line-hops-across",
      muscle: "gluteus-maximus",
      meanPercent: 30,
      sdPercent: 19,
      source: recalled("Distefano 2009"),
      leftOut: "twelve exercises of healthy, active adults; no bridges, no loads, no patients",
    },
  ],
  leadsTo: ["distance-hop"],
  variants: progression(
    {
      settings: { contraction: "plyometric", laterality: "both", direction: "across", surface: "firm" },
      dose: springDose,
      turns: [ladder("contacts", "6-8", "8-10", "10-12")],
      position: "standing",
      kit: [],
      phase: "spring",
      arcs: { knee: [10, 40], hip: [0, 30] },
    },
    [
      { id: "line-jumps-across", name: "Both legs, side to side" },
      { id: "line-hops-across", name: "One leg, side to side", turn: ["laterality", "single"] },
      { id: "line-hops-forward", name: "One leg, forward and back", turn: ["direction", "forward"] },
      {
        id: "line-hops-square",
        name: "One leg, round a square both ways",
        turn: ["direction", "rotational"],
      },
      {
        id: "line-hops-soft",
        name: "One leg, round a square on a mat",
        turn: ["surface", "soft"],
        kit: ["soft-mat"],
      },
    ],
  ),
  source: commonPractice,
};

export const timedHops: Exercise = {
  id: "timed-hops",
  name: "Hops for time",
  family: "hop",
  lane: "landing",
  alsoTrains: ["calf", "balance"],
  muscles: ["gastrocnemius", "gluteus-medius", "quadriceps"],
  regions: ["ankle", "knee", "hip"],
  loads: loads("moderate", "moderate", "low"),
  sides: "each-side",
  effort: "hard",
  feltIn: "calf and side of the hip",
  cues: [
    "About two contacts a second, quiet from first to last",
    "Count them: they are the dose; half a minute is about sixty",
  ],
  faults: [
    kneeIn,
    pelvisDrops,
    loud,
    { code: "slows", name: "Slows or stops to rest", view: "front", phase: "throughout" },
  ],
  safety: "Even, dry ground.",
  forbiddenBy: ["impact"],
  variants: progression(
    {
      settings: { contraction: "plyometric", laterality: "both", direction: "across", surface: "firm" },
      dose: dose("plyometric", { sets: 1, contacts: from(20, 30), restSeconds: 90 }),
      turns: [ladder("contacts", "10-20", "20-30", "30-40", "40-60")],
      position: "standing",
      kit: [],
      phase: "spring",
      arcs: { knee: [10, 40], hip: [0, 30] },
    },
    [
      { id: "timed-jumps-across", name: "Both legs, side to side" },
      { id: "timed-hops-across", name: "One leg, side to side", turn: ["laterality", "single"] },
      { id: "timed-hops-forward", name: "One leg, forward and back", turn: ["direction", "forward"] },
      {
        id: "timed-hops-square",
        name: "One leg, round a square",
        turn: ["direction", "rotational"],
      },
    ],
  ),
  source: commonPractice,
};

export const distanceHop: Exercise = {
  id: "distance-hop",
  name: "Hop for distance",
  family: "sport-hop",
  lane: "landing",
  muscles: ["quadriceps", "gluteus-maximus", "gastrocnemius"],
  regions: ["knee", "hip", "ankle"],
  loads: loads("high", "high", "moderate"),
  sides: "each-side",
  effort: "hard",
  feltIn: "the whole leg",
  cues: ["Swing the arms, land and hold", "No distance without a landing that stands"],
  faults: [
    kneeIn,
    trunkLeans,
    loud,
    { code: "extra-hop", name: "Needs a second hop to stay up", view: "side", phase: "bottom" },
  ],
  safety: "Even, dry ground; space ahead.",
  forbiddenBy: ["impact"],
  variants: progression(
    {
      settings: {
        contraction: "plyometric",
        laterality: "both",
        direction: "forward",
        reach: 60,
        "load-place": "none",
      },
      dose: dose("plyometric", { contacts: from(3, 5) }),
      turns: [ladder("reach", 40, 60, 80, 100), ladder("contacts", "3-5", "4-6")],
      position: "standing",
      kit: [],
      phase: "spring",
      arcs: { knee: [0, 80], hip: [0, 90] },
    },
    [
      { id: "distance-jump", name: "Both legs, forward, land and hold" },
      {
        id: "distance-hop-single",
        name: "One leg, forward, land and hold",
        turn: ["laterality", "single"],
        turns: [ladder("reach", 40, 60, 80, 100, 120), ladder("contacts", "3-5", "4-6")],
      },
      {
        id: "crossover-hop",
        name: "One leg, crossing a line with each hop",
        turn: ["direction", "rotational"],
      },
      {
        id: "crossover-hop-carrying",
        name: "Crossing hops, a ball in the hands",
        turn: ["load-place", "goblet"],
        kit: ["ball"],
      },
    ],
  ),
  source: commonPractice,
};

export const boxJump: Exercise = {
  id: "box-jump",
  name: "Jump onto a box",
  family: "box-jump",
  lane: "landing",
  alsoTrains: ["hip-extensors"],
  muscles: ["gluteus-maximus", "quadriceps", "gastrocnemius"],
  regions: ["hip", "knee"],
  loads: loads("moderate", "moderate", "low"),
  sides: "both-together",
  effort: "moderate",
  feltIn: "buttocks and thighs at take-off",
  cues: ["Land as high as you took off from", "Step down, do not jump down"],
  faults: [kneesIn, loud],
  safety: "Box that cannot tip; low enough to land standing.",
  forbiddenBy: ["impact"],
  variants: progression(
    {
      settings: { contraction: "plyometric", laterality: "both", "step-height": 20, direction: "forward" },
      dose: dose("plyometric", { contacts: from(3, 5), restSeconds: 60 }),
      turns: [ladder("step-height", 15, 20, 30, 40), ladder("contacts", "3-5", "4-6")],
      position: "standing",
      kit: ["box"],
      phase: "spring",
      arcs: { knee: [0, 80], hip: [0, 90] },
    },
    [
      { id: "box-jump-both", name: "From two legs" },
      {
        id: "box-jump-one-up",
        name: "From one leg, landing on two",
        turn: ["laterality", "staggered"],
        turns: [ladder("step-height", 15, 20, 30), load("dumbbells", 10, 2)],
      },
      {
        id: "box-jump-single",
        name: "From one leg, landing on it",
        turn: ["laterality", "single"],
        turns: [ladder("step-height", 15, 20, 30)],
      },
    ],
  ),
  source: commonPractice,
};

export const hopExercises = [lineHops, timedHops, distanceHop, boxJump];
