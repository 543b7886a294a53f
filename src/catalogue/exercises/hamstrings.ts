import type { Exercise } from "~/core/exercise/exercise";
import { commonPractice } from "../source";
import { dose, from, ladder, load, loads, progression } from "./compose";
import { backArches, drops, momentum, pelvisDrops } from "./faults";

const hipsFold = { code: "hips-fold", name: "Hips fold on the way", view: "side", phase: "down" } as const;

export const heelDig: Exercise = {
  id: "heel-dig",
  name: "Heel dig",
  family: "heel-dig",
  lane: "hamstrings",
  muscles: ["hamstrings"],
  regions: ["thigh", "knee"],
  loads: loads("low", "low", "low"),
  sides: "each-side",
  effort: "light",
  feltIn: "back of the thigh",
  notFeltIn: "a sharp spot at the site, or the calf",
  cues: ["Draw the heel into the floor and towards you", "Build over two seconds, let go slowly"],
  faults: [{ code: "hips-lift", name: "Hips lift", view: "side", phase: "throughout" }],
  caution: "High pain at the sit bone after a sudden stretch: have an avulsion ruled out first.",
  forbiddenBy: ["resisted-knee-flexion"],
  leadsTo: ["long-lever-bridge", "ball-curl"],
  variants: progression(
    {
      settings: { contraction: "isometric", laterality: "both", lever: "short", surface: "firm" },
      dose: dose("isometric-clinic", { policy: "hold", effort: undefined, hold: from(5, 10) }),
      turns: [ladder("hold", "5-10", "10-15", "15-20")],
      position: "supine",
      kit: [],
      phase: "isometric",
      arcs: { knee: [85, 90], hip: [40, 50] },
    },
    [
      { id: "heel-dig-both", name: "Both heels, knees at 90°" },
      { id: "heel-dig-single", name: "One heel, knee at 90°", turn: ["laterality", "single"] },
      {
        id: "heel-dig-long",
        name: "One heel, nearly straight",
        turn: ["lever", "long"],
        arcs: { knee: [20, 30], hip: [15, 20] },
      },
      {
        id: "heel-dig-ball",
        name: "One heel on a ball, nearly straight",
        turn: ["surface", "unstable"],
        kit: ["gym-ball"],
      },
    ],
  ),
  source: commonPractice,
};

export const ballCurl: Exercise = {
  id: "ball-curl",
  name: "Ball curl, hips up",
  family: "hamstring-curl",
  lane: "hamstrings",
  alsoTrains: ["hip-extensors", "trunk"],
  muscles: ["hamstrings", "gluteus-maximus"],
  regions: ["thigh", "knee"],
  loads: loads("low", "low", "low"),
  sides: "both-together",
  effort: "moderate",
  feltIn: "back of the thighs",
  cues: ["Hips stay up throughout", "Draw the ball in, roll it out for three seconds"],
  faults: [{ ...pelvisDrops, name: "Hips sink" }, backArches],
  forbiddenBy: ["resisted-knee-flexion"],
  variants: progression(
    {
      settings: { contraction: "eccentric-only", laterality: "both", range: "part" },
      dose: dose("strength", { sets: 2, reps: from(6, 10), tempo: "3-0-1-0" }),
      turns: [ladder("range", "part", "three-quarter", "full")],
      position: "supine",
      kit: ["gym-ball"],
      phase: "isolated",
      arcs: { knee: [10, 90], hip: [0, 20] },
    },
    [
      { id: "ball-curl-out", name: "Rolled out only, both legs" },
      {
        id: "ball-curl-both",
        name: "In and out, both legs",
        turn: ["contraction", "concentric-eccentric"],
        dose: dose("strength", { reps: from(8, 12) }),
      },
      {
        id: "ball-curl-in-two-out-one",
        name: "In with two, out with one",
        turn: ["laterality", "both-up-one-down"],
      },
      {
        id: "ball-curl-single",
        name: "In and out on one leg",
        turn: ["laterality", "single"],
        phase: "compound",
      },
    ],
  ),
  source: commonPractice,
};

export const slidingCurl: Exercise = {
  id: "sliding-curl",
  name: "Sliding curl",
  family: "hamstring-curl",
  lane: "hamstrings",
  alsoTrains: ["hip-extensors"],
  muscles: ["hamstrings", "gluteus-maximus"],
  regions: ["thigh", "knee"],
  loads: loads("low", "low", "low"),
  sides: "both-together",
  effort: "hard",
  feltIn: "back of the thighs",
  notFeltIn: "the sit bone",
  cues: ["Hips up, slide the heels away slowly", "Come back only as far as the hips stay up"],
  faults: [{ ...pelvisDrops, name: "Hips sink" }, drops],
  forbiddenBy: ["resisted-knee-flexion", "hamstring-lengthening"],
  leadsTo: ["kneeling-lowering"],
  variants: progression(
    {
      settings: { contraction: "eccentric-only", laterality: "both", range: "part" },
      dose: dose("strength", { sets: 2, reps: from(5, 8), tempo: "4-0-1-0" }),
      turns: [ladder("range", "part", "three-quarter", "full")],
      position: "supine",
      kit: ["slider"],
      phase: "isolated",
      arcs: { knee: [5, 90], hip: [0, 30] },
    },
    [
      { id: "sliding-curl-out", name: "Slid out only, both legs" },
      {
        id: "sliding-curl-both",
        name: "Out and in, both legs",
        turn: ["contraction", "concentric-eccentric"],
        dose: dose("strength", { reps: from(6, 10) }),
      },
      {
        id: "sliding-curl-one-out",
        name: "Out with one, in with two",
        turn: ["laterality", "both-up-one-down"],
      },
      {
        id: "sliding-curl-single",
        name: "Out and in on one leg",
        turn: ["laterality", "single"],
        phase: "compound",
      },
    ],
  ),
  source: commonPractice,
};

export const curlMachine: Exercise = {
  id: "curl-machine",
  name: "Leg curl machine",
  family: "hamstring-machine",
  lane: "hamstrings",
  muscles: ["hamstrings"],
  regions: ["thigh", "knee"],
  loads: loads("low", "low", "low"),
  sides: "each-side",
  effort: "hard",
  feltIn: "back of the thigh",
  cues: ["Axis of the machine at the knee", "Three seconds back"],
  faults: [momentum, drops],
  forbiddenBy: ["resisted-knee-flexion"],
  variants: progression(
    {
      settings: { contraction: "isometric", laterality: "both", arc: "60-90" },
      dose: dose("isometric-clinic", { policy: "hold", effort: undefined, hold: from(10, 15) }),
      turns: [ladder("hold", "10-15", "15-30")],
      position: "prone",
      kit: ["leg-curl-machine"],
      phase: "isometric",
      arcs: { knee: [60, 90], hip: [0, 20] },
    },
    [
      { id: "curl-machine-hold", name: "Both legs, held" },
      {
        id: "curl-machine-lowered",
        name: "Bent by both, let out by one",
        turn: ["contraction", "eccentric-only"],
        phase: "isolated",
        dose: dose("strength", { loadKg: 10, tempo: "3-0-1-0" }),
        turns: [ladder("arc", "60-90", "45-90", "30-90", "0-90"), load("leg-curl-machine", 50, 2.5)],
      },
      {
        id: "curl-machine-both",
        name: "Both legs, in and out",
        turn: ["contraction", "concentric-eccentric"],
        dose: dose("strength", { loadKg: 15 }),
      },
      {
        id: "curl-machine-single",
        name: "One leg, in and out",
        turn: ["laterality", "single"],
        dose: dose("strength", { loadKg: 10 }),
      },
      {
        id: "curl-machine-heavy",
        name: "One leg, whole arc, heavy and slow",
        turn: ["arc", "0-90"],
        dose: dose("heavy-slow", { loadKg: 15 }),
        turns: [ladder("repetition-maximum", 15, 12, 10, 8, 6), load("leg-curl-machine", 80, 2.5)],
      },
    ],
  ),
  source: commonPractice,
};

export const kneelingLowering: Exercise = {
  id: "kneeling-lowering",
  name: "Kneeling lowering",
  family: "kneeling-lowering",
  lane: "hamstrings",
  muscles: ["hamstrings"],
  regions: ["thigh", "knee"],
  loads: loads("moderate", "low", "low"),
  sides: "both-together",
  effort: "hard",
  feltIn: "back of the thighs",
  notFeltIn: "the knees or the low back",
  cues: [
    "Hips straight, one line from knee to shoulder",
    "Lean as slowly as you can",
    "Catch yourself with the hands",
  ],
  faults: [hipsFold, drops],
  caution:
    "Sore for two or three days the first time; start with few. Not before sprinting, and not the day before.",
  safety: "Pad under the knees; ankles held by a helper or a strap that cannot slip; space ahead.",
  forbiddenBy: ["kneeling", "hamstring-lengthening", "resisted-knee-flexion"],
  variants: progression(
    {
      settings: {
        contraction: "eccentric-only",
        laterality: "both",
        assistance: "strong",
        range: "part",
        "load-place": "none",
      },
      dose: dose("strength", { sets: 2, reps: from(3, 5), tempo: "4-0-1-0", daysPerWeek: 2 }),
      turns: [ladder("range", "part", "three-quarter", "full"), ladder("reps", "3-5", "5-8")],
      position: "kneeling",
      kit: ["pad", "strap", "band"],
      phase: "compound",
      arcs: { knee: [10, 90], hip: [0, 10] },
    },
    [
      { id: "kneeling-lowering-strong-band", name: "Strong band holds the chest" },
      { id: "kneeling-lowering-light-band", name: "Light band", turn: ["assistance", "light"] },
      {
        id: "kneeling-lowering-free",
        name: "Without help",
        turn: ["assistance", "none"],
        kit: ["pad", "strap"],
      },
      {
        id: "kneeling-lowering-weight",
        name: "Weight at the chest",
        turn: ["load-place", "goblet"],
        kit: ["pad", "strap", "dumbbells"],
        turns: [ladder("range", "part", "three-quarter", "full"), load("dumbbells", 20, 2)],
      },
    ],
  ),
  source: commonPractice,
};

/** Knee-dominant hamstring exercises. */
export const hamstringExercises = [heelDig, ballCurl, slidingCurl, curlMachine, kneelingLowering];
