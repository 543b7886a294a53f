import type { Exercise } from "~/core/exercise/exercise";
import { commonPractice } from "../source";
import { legPress, wallSquat } from "./supported-squats";
import { dose, from, ladder, load, loads, outOfSitBack, progression } from "./compose";
import { archCollapses, backRounds, heelsLift, kneeIn, kneesOut, shift } from "./faults";

const bends = ladder("knee-angle", 45, 60, 75, 90);
const squatFaults = [kneeIn, shift, heelsLift, kneesOut, backRounds];

export const chairStand: Exercise = {
  id: "chair-stand",
  name: "Rise from a chair",
  family: "chair-stand",
  lane: "knee-extensors",
  alsoTrains: ["hip-extensors", "balance"],
  muscles: ["quadriceps", "gluteus-maximus"],
  regions: ["knee", "hip"],
  loads: loads("moderate", "moderate", "low"),
  sides: "both-together",
  effort: "moderate",
  feltIn: "front of the thighs and buttocks",
  cues: ["Feet under the knees", "Nose over toes, then up", "Touch the seat, do not drop on it"],
  faults: [kneeIn, shift, { code: "falls", name: "Drops onto the seat", view: "side", phase: "bottom" }],
  safety: "Chair against the wall, something to hold within reach.",
  forbiddenBy: [],
  leadsTo: ["two-leg-squat", "staggered-chair-stand"],
  variants: progression(
    {
      settings: { contraction: "eccentric-only", laterality: "both", support: "two-hands", "box-height": 55 },
      dose: dose("strength", {
        sets: 2,
        reps: from(5, 10),
        tempo: "4-0-1-0",
        restSeconds: 60,
        daysPerWeek: 4,
      }),
      turns: [ladder("box-height", 65, 60, 55, 50, 45)],
      position: "standing",
      kit: ["chair"],
      phase: "compound",
      arcs: { knee: [0, 85], hip: [0, 90] },
    },
    [
      { id: "chair-lowering", name: "Lowering only, both hands held" },
      {
        id: "chair-stand-held",
        name: "Up and down, both hands held",
        turn: ["contraction", "concentric-eccentric"],
        dose: dose("strength", { sets: 2, reps: from(8, 12), restSeconds: 60 }),
      },
      { id: "chair-stand-one-hand", name: "Up and down, one hand held", turn: ["support", "one-hand"] },
      {
        id: "chair-stand-free",
        name: "Up and down, arms crossed",
        turn: ["support", "none"],
        turns: [ladder("box-height", 65, 60, 55, 50, 45), load("dumbbells", 20, 2)],
      },
    ],
  ),
  source: commonPractice,
};

export const squat: Exercise = {
  id: "two-leg-squat",
  name: "Two-leg squat",
  family: "two-leg-squat",
  lane: "knee-extensors",
  alsoTrains: ["hip-extensors"],
  muscles: ["quadriceps", "gluteus-maximus", "adductors"],
  regions: ["knee", "hip"],
  loads: loads("moderate", "moderate", "moderate"),
  sides: "both-together",
  effort: "moderate",
  feltIn: "front of the thighs and buttocks",
  notFeltIn: "behind the kneecap, the groin or the low back",
  cues: ["Whole foot stays down", "Knees point where the feet point", "Hips go back and down"],
  breathing: "In on the way down, out on the way up.",
  faults: squatFaults,
  caution: "Pinching in the groin stops this movement until somebody has looked at it.",
  safety: "Loaded: space to step back, or safety bars.",
  forbiddenBy: [],
  leadsTo: ["split-squat", "single-leg-squat"],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "both",
        support: "two-hands",
        "knee-angle": 60,
        "knee-travel": "limited",
        "stance-width": "narrow",
        "foot-turn": "straight",
        raised: "flat",
        perturbation: "none",
        "load-place": "none",
      },
      dose: dose("control", { reps: from(10, 15), hold: undefined }),
      turns: [bends],
      position: "standing",
      kit: [],
      phase: "compound",
      arcs: { knee: [0, 60], hip: [0, 80] },
    },
    [
      { id: "squat-held", name: "Squat holding on" },
      {
        id: "squat-sit-back",
        name: "Free squat, sitting back",
        turn: ["support", "none"],
        dose: dose("control", { reps: from(10, 20), hold: undefined }),
      },
      {
        id: "squat-free",
        name: "Free squat",
        turn: ["knee-travel", "free"],
        dose: dose("strength", { tempo: "1.5-0-1.5-0" }),
        turns: [bends, ladder("tempo", "1.5-0-1.5-0", "3-1-1-0")],
      },
      {
        id: "squat-band",
        name: "Free squat, band round the thighs",
        turn: ["perturbation", "band-thigh"],
        kit: ["band"],
        dose: dose("strength", { tempo: "3-1-1-0" }),
        turns: [bends],
      },
      {
        id: "squat-goblet",
        name: "Squat with a weight at the chest, band round the thighs",
        turn: ["load-place", "goblet"],
        kit: ["band", "dumbbells"],
        dose: dose("strength", { loadKg: 8, tempo: "3-1-1-0" }),
        turns: [bends, load("dumbbells", 32, 2)],
      },
      {
        id: "squat-bar",
        name: "Barbell squat, warmed up with the band",
        turn: ["load-place", "bar"],
        kit: ["band", "barbell"],
        dose: dose("strength", { loadKg: 30, tempo: "3-1-1-0" }),
        turns: [bends, load("barbell", 160, 2.5)],
      },
    ],
  ),
  source: commonPractice,
};

export const splitSquat: Exercise = {
  id: "split-squat",
  name: "Split squat",
  family: "split-squat",
  lane: "knee-extensors",
  alsoTrains: ["hip-extensors", "balance"],
  muscles: ["quadriceps", "gluteus-maximus", "adductors"],
  regions: ["knee", "hip"],
  loads: loads("moderate", "moderate", "low"),
  sides: "each-side",
  effort: "moderate",
  feltIn: "thigh and buttock of the front leg",
  notFeltIn: "the rear knee",
  cues: [
    "Weight through the front heel",
    "Rear knee goes straight down towards a pad",
    "Just before it hurts, drop straight",
  ],
  faults: [
    kneeIn,
    { code: "slips-back", name: "Weight slips onto the rear leg", view: "side", phase: "bottom" },
    archCollapses,
  ],
  caution: "Too short a stance, or weight that slips back, loads the rear knee.",
  safety: "Chair or wall beside; a pad under the rear knee as depth mark.",
  forbiddenBy: [],
  leadsTo: ["forward-lunge", "single-leg-squat"],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "staggered",
        support: "two-hands",
        range: "part",
        "stance-length": "long",
        raised: "flat",
        "load-place": "none",
        "knee-travel": "limited",
        "sit-back-at": "none",
      },
      dose: dose("control", { reps: from(8, 12), hold: undefined }),
      turns: [outOfSitBack("25", "35"), ladder("range", "part", "three-quarter", "full")],
      position: "standing",
      kit: ["chair"],
      phase: "compound",
      arcs: { knee: [0, 90], hip: [-10, 80] },
    },
    [
      { id: "split-squat-held", name: "Long stance, holding on" },
      {
        id: "split-squat-free",
        name: "Long stance, free",
        turn: ["support", "none"],
        kit: ["pad"],
        dose: dose("strength", { reps: from(8, 12) }),
      },
      {
        id: "split-squat-short",
        name: "Shorter stance",
        turn: ["stance-length", "short"],
        arcs: { knee: [0, 100], hip: [-10, 90] },
      },
      {
        id: "split-squat-rear-raised",
        name: "Rear foot on a bench",
        turn: ["raised", "rear-foot"],
        kit: ["pad", "bench"],
      },
      {
        id: "split-squat-loaded",
        name: "Rear foot on a bench, dumbbells",
        turn: ["load-place", "hands"],
        kit: ["pad", "bench", "dumbbells"],
        dose: dose("strength", { reps: from(6, 10), loadKg: 8 }),
        turns: [
          outOfSitBack("25", "35"),
          ladder("range", "part", "three-quarter", "full"),
          load("dumbbells", 60, 2),
        ],
      },
    ],
  ),
  source: commonPractice,
};

/** Two-leg and staggered knee-dominant exercises. */
export const squatExercises = [chairStand, squat, wallSquat, legPress, splitSquat];
