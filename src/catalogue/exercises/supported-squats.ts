import type { Exercise } from "~/core/exercise/exercise";
import { commonPractice, recalled } from "../source";
import { dose, from, ladder, load, loads, progression } from "./compose";
import { backRounds, bounces, kneeIn, shift } from "./faults";

export const wallSquat: Exercise = {
  id: "wall-squat",
  name: "Wall squat",
  family: "wall-squat",
  lane: "knee-extensors",
  alsoTrains: ["hip-extensors"],
  muscles: ["quadriceps", "gluteus-maximus"],
  regions: ["knee", "thigh"],
  loads: loads("moderate", "low", "low"),
  sides: "both-together",
  effort: "moderate",
  feltIn: "front of the thighs; with the feet farther out, the buttocks",
  cues: ["Back flat on the wall", "Feet nearer for the thigh, farther for the hip", "Whole foot presses"],
  faults: [
    kneeIn,
    shift,
    { code: "hands-push", name: "Hands push on the thighs", view: "front", phase: "throughout" },
  ],
  forbiddenBy: [],
  activation: [
    {
      variantId: "wall-squat-single",
      muscle: "gluteus-maximus",
      meanPercent: 86,
      sdPercent: 43,
      source: recalled("Ayotte 2007"),
      leftOut: "five single-leg weight-bearing exercises of healthy adults; no load, no patients",
    },
  ],
  variants: progression(
    {
      settings: { contraction: "isometric", laterality: "both", "stance-length": "long", "knee-angle": 60 },
      dose: dose("endurance", { hold: from(20, 30) }),
      turns: [ladder("knee-angle", 30, 45, 60, 75, 90), ladder("hold", "20-30", "30-45", "45-60")],
      position: "standing",
      kit: ["wall"],
      phase: "isometric",
      arcs: { knee: [30, 60], hip: [30, 60] },
    },
    [
      { id: "wall-squat-far", name: "Held, feet far from the wall" },
      { id: "wall-squat-near", name: "Held, feet nearer", turn: ["stance-length", "short"] },
      {
        id: "wall-squat-staggered",
        name: "Held, one foot lightly ahead",
        turn: ["laterality", "staggered"],
      },
      {
        id: "wall-squat-single",
        name: "Held on one leg",
        turn: ["laterality", "single"],
        dose: dose("endurance", { hold: from(10, 20) }),
        turns: [ladder("knee-angle", 30, 45, 60, 75), ladder("hold", "10-20", "20-30")],
      },
    ],
  ),
  source: commonPractice,
};

export const legPress: Exercise = {
  id: "leg-press",
  name: "Leg press",
  family: "leg-press",
  lane: "knee-extensors",
  alsoTrains: ["hip-extensors"],
  muscles: ["quadriceps", "gluteus-maximus"],
  regions: ["knee", "hip"],
  loads: loads("moderate", "moderate", "low"),
  sides: "each-side",
  effort: "hard",
  feltIn: "front of the thigh and buttock",
  notFeltIn: "behind the kneecap or the groin",
  cues: ["Whole foot on the plate", "Knee in line with the foot", "Tailbone stays on the seat"],
  faults: [kneeIn, bounces, { ...backRounds, name: "Tailbone curls off the seat" }],
  caution: "Deep positions pinch some hips: stop the seat before that.",
  forbiddenBy: [],
  variants: progression(
    {
      settings: { contraction: "concentric-eccentric", laterality: "both", "knee-angle": 75 },
      dose: dose("strength", { loadKg: 40 }),
      turns: [ladder("knee-angle", 60, 75, 90), load("leg-press", 160, 5)],
      position: "sitting",
      kit: ["leg-press"],
      phase: "isolated",
      arcs: { knee: [10, 75], hip: [60, 100] },
    },
    [
      { id: "leg-press-both", name: "Both legs" },
      {
        id: "leg-press-one-back",
        name: "Out with both, back with one",
        turn: ["laterality", "both-up-one-down"],
        dose: dose("strength", { loadKg: 40, tempo: "3-0-1-0" }),
      },
      {
        id: "leg-press-single",
        name: "One leg",
        turn: ["laterality", "single"],
        dose: dose("strength", { loadKg: 30 }),
        turns: [ladder("knee-angle", 60, 75, 90), load("leg-press", 140, 5)],
      },
      {
        id: "leg-press-heavy",
        name: "One leg to 90°, heavy and slow",
        turn: ["knee-angle", 90],
        arcs: { knee: [10, 90], hip: [60, 110] },
        dose: dose("heavy-slow", { loadKg: 40 }),
        turns: [ladder("repetition-maximum", 15, 12, 10, 8, 6), load("leg-press", 250, 5)],
      },
    ],
  ),
  source: commonPractice,
};
