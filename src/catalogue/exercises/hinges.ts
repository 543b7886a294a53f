import type { Exercise } from "~/core/exercise/exercise";
import { commonPractice, recalled } from "../source";
import { dose, from, ladder, load, loads, progression } from "./compose";
import { backRounds } from "./faults";

const squats = { code: "squats", name: "Turns into a squat", view: "side", phase: "down" } as const;
const distefano = (muscle: "gluteus-medius" | "gluteus-maximus", meanPercent: number, sdPercent: number) => ({
  variantId: "hinge-single-free",
  muscle,
  meanPercent,
  sdPercent,
  source: recalled("Distefano 2009"),
  leftOut: "twelve exercises of healthy, active adults; no bridges, no loads, no patients",
});

export const rockBack: Exercise = {
  id: "rock-back",
  name: "Rock-back on hands and knees",
  family: "hinge",
  lane: "hip-extensors",
  alsoTrains: ["mobility", "trunk"],
  muscles: ["gluteus-maximus", "back-extensors"],
  regions: ["hip", "back"],
  loads: loads("low", "low", "low"),
  sides: "both-together",
  effort: "light",
  feltIn: "an easy fold at the hips",
  notFeltIn: "a pinch in the groin",
  cues: ["Hips towards the heels, back flat", "Note where a pinch would begin: it is also a test"],
  faults: [backRounds],
  forbiddenBy: ["kneeling"],
  leadsTo: ["hinge"],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "both",
        range: "part",
        "stance-width": "wide",
      },
      dose: dose("activation", { policy: "fixed", reps: from(10), hold: undefined, sets: 2 }),
      turns: [],
      position: "hands-and-knees",
      kit: ["pad"],
      phase: "range",
      arcs: { knee: [90, 120], hip: [80, 100] },
    },
    [
      { id: "rock-back-part", name: "Knees wide, part way" },
      {
        id: "rock-back-full",
        name: "Knees wide, as far as the back stays flat",
        turn: ["range", "full"],
        arcs: { knee: [90, 140], hip: [80, 120] },
      },
      { id: "rock-back-narrow", name: "Knees under the hips", turn: ["stance-width", "narrow"] },
    ],
  ),
  source: commonPractice,
};

export const hinge: Exercise = {
  id: "hinge",
  name: "Hip hinge",
  family: "hinge",
  lane: "hamstrings",
  alsoTrains: ["hip-extensors", "trunk"],
  muscles: ["hamstrings", "gluteus-maximus", "back-extensors"],
  regions: ["hip", "back", "thigh"],
  loads: loads("low", "moderate", "high"),
  sides: "both-together",
  effort: "moderate",
  feltIn: "back of the thighs and buttocks, not the low back",
  notFeltIn: "the sit bone or down the leg",
  cues: ["Soft knees, shins still", "Push the hips back until the thighs feel it", "Load close to the legs"],
  breathing: "In on the way down, out on the way up.",
  faults: [backRounds, squats],
  forbiddenBy: ["loaded-lumbar-flexion"],
  leadsTo: ["single-leg-hinge"],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "both",
        support: "none",
        "load-place": "none",
      },
      dose: dose("control", { reps: from(10, 15), hold: undefined }),
      turns: [ladder("reps", "8-12", "10-15")],
      position: "standing",
      kit: ["stick"],
      phase: "compound",
      arcs: { knee: [0, 25], hip: [0, 90] },
    },
    [
      { id: "hinge-stick", name: "Hinge with a stick on the back" },
      {
        id: "hinge-loaded",
        name: "Romanian deadlift",
        turn: ["load-place", "hands"],
        kit: ["dumbbells"],
        dose: dose("strength", { loadKg: 8, tempo: "1.5-0-1.5-0" }),
        turns: [load("dumbbells", 60, 2), ladder("tempo", "1.5-0-1.5-0", "3-1-1-0")],
      },
      {
        id: "hinge-staggered",
        name: "Romanian deadlift, staggered stance",
        turn: ["laterality", "staggered"],
        dose: dose("strength", { loadKg: 6 }),
        turns: [load("dumbbells", 48, 2)],
      },
    ],
  ),
  source: commonPractice,
};

export const singleLegHinge: Exercise = {
  id: "single-leg-hinge",
  name: "Single-leg hinge",
  family: "hinge",
  lane: "hamstrings",
  alsoTrains: ["hip-extensors", "hip-abductors", "balance"],
  muscles: ["hamstrings", "gluteus-maximus", "gluteus-medius"],
  regions: ["hip", "thigh", "back"],
  loads: loads("low", "moderate", "moderate"),
  sides: "each-side",
  effort: "hard",
  feltIn: "back of the thigh and buttock of the standing leg",
  notFeltIn: "the low back",
  cues: [
    "Head and free heel one long line",
    "Belt buckle faces the floor",
    "Shin of the standing leg stays upright",
  ],
  faults: [
    { code: "pelvis-opens", name: "Free hip opens to the side", view: "back", phase: "down" },
    backRounds,
    squats,
    { code: "ankle-wobbles", name: "Foot wobbles", view: "front", phase: "bottom" },
  ],
  forbiddenBy: ["loaded-lumbar-flexion"],
  activation: [distefano("gluteus-medius", 58, 25), distefano("gluteus-maximus", 59, 28)],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "single",
        support: "two-hands",
        range: "part",
        "load-place": "none",
      },
      dose: dose("control", { reps: from(8, 12), hold: undefined }),
      turns: [ladder("range", "part", "three-quarter", "full")],
      position: "standing",
      kit: ["wall"],
      phase: "compound",
      arcs: { knee: [5, 25], hip: [0, 80] },
    },
    [
      { id: "hinge-single-wall", name: "Both hands on the wall" },
      { id: "hinge-single-hand", name: "One hand on the wall", turn: ["support", "one-hand"] },
      {
        id: "hinge-single-free",
        name: "Free",
        turn: ["support", "none"],
        kit: [],
        dose: dose("strength", { reps: from(8, 10) }),
      },
      {
        id: "hinge-single-opposite",
        name: "Weight in the opposite hand",
        turn: ["load-place", "opposite-hand"],
        kit: ["dumbbells"],
        dose: dose("strength", { reps: from(8, 10), loadKg: 4 }),
        turns: [ladder("range", "part", "three-quarter", "full"), load("dumbbells", 32, 2)],
      },
      {
        id: "hinge-single-same",
        name: "Weight in the same hand",
        turn: ["load-place", "same-hand"],
      },
    ],
  ),
  source: commonPractice,
};

export const hingeExercises = [rockBack, hinge, singleLegHinge];
