import type { Exercise } from "~/core/exercise/exercise";
import { commonPractice } from "../source";
import { dose, from, ladder, load, loads, progression } from "./compose";
import { backArches, backRounds, momentum } from "./faults";

const squats = { code: "squats", name: "Turns into a squat", view: "side", phase: "down" } as const;

export const deadlift: Exercise = {
  id: "deadlift",
  name: "Deadlift with the bar",
  family: "deadlift",
  lane: "hip-extensors",
  alsoTrains: ["hamstrings", "trunk"],
  muscles: ["gluteus-maximus", "hamstrings", "back-extensors", "quadriceps"],
  regions: ["hip", "back", "thigh"],
  loads: loads("low", "high", "high"),
  sides: "both-together",
  effort: "hard",
  feltIn: "buttocks and back of the thighs; the back holds still",
  notFeltIn: "one spot of the low back, or down the leg",
  cues: [
    "Bar over the middle of the foot, both palms facing the legs",
    "Legs push the floor, hips and chest rise together",
  ],
  breathing: "In before the lift; out past the knees on the way up.",
  faults: [
    backRounds,
    { code: "hips-first", name: "Hips rise before the bar does", view: "side", phase: "up" },
    { code: "bar-away", name: "Bar drifts away from the legs", view: "side", phase: "up" },
  ],
  safety: "Free floor all round; plates that can be let down.",
  forbiddenBy: ["loaded-lumbar-flexion"],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "both",
        range: "part",
        "load-place": "bar",
      },
      dose: dose("strength", { sets: 3, reps: from(6, 8), restSeconds: 120, loadKg: 20 }),
      turns: [load("barbell", 160, 2.5)],
      position: "standing",
      kit: ["barbell", "box"],
      phase: "compound",
      arcs: { knee: [0, 30], hip: [0, 80] },
    },
    [
      { id: "deadlift-high-blocks", name: "From blocks, bar at the knees" },
      {
        id: "deadlift-low-blocks",
        name: "From low blocks, bar at mid-shin",
        turn: ["range", "three-quarter"],
        arcs: { knee: [0, 60], hip: [0, 95] },
      },
      {
        id: "deadlift-floor",
        name: "From the floor",
        turn: ["range", "full"],
        kit: ["barbell"],
        arcs: { knee: [0, 90], hip: [0, 115] },
      },
    ],
  ),
  source: commonPractice,
};

export const swing: Exercise = {
  id: "swing",
  name: "Swing",
  family: "swing",
  lane: "hip-extensors",
  alsoTrains: ["hamstrings", "trunk"],
  muscles: ["gluteus-maximus", "hamstrings", "back-extensors"],
  regions: ["hip", "back"],
  loads: loads("low", "high", "high"),
  sides: "both-together",
  effort: "hard",
  feltIn: "buttocks, at the snap of the hips",
  notFeltIn: "the shoulders or the low back",
  cues: [
    "Hips throw the weight, arms only guide it",
    "Stand tall at the top, ribs down",
    "Let it come before you fold",
  ],
  breathing: "Sharp breath out at the top.",
  faults: [
    { code: "lifts-with-arms", name: "Lifts with the arms", view: "side", phase: "up" },
    squats,
    backRounds,
    { ...backArches, code: "leans-back", name: "Leans back at the top" },
  ],
  safety: "Nobody and nothing in front.",
  forbiddenBy: ["loaded-lumbar-flexion"],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "both",
        "load-place": "none",
        trunk: "upright",
      },
      dose: dose("strength", { sets: 3, reps: from(8, 12), restSeconds: 60 }),
      turns: [ladder("reps", "8-12", "12-15")],
      position: "standing",
      kit: [],
      phase: "compound",
      arcs: { knee: [0, 30], hip: [0, 90] },
    },
    [
      { id: "swing-empty", name: "Without a weight, the snap alone" },
      {
        id: "swing-two-hands",
        name: "Weight in both hands",
        turn: ["load-place", "goblet"],
        kit: ["kettlebell"],
        dose: dose("strength", { sets: 3, reps: from(10, 15), restSeconds: 60, loadKg: 8 }),
        turns: [load("kettlebell", 32, 4)],
      },
      {
        id: "swing-one-hand",
        name: "Weight in one hand",
        turn: ["load-place", "same-hand"],
      },
      {
        id: "swing-deep",
        name: "Weight in one hand, folding deeper",
        turn: ["trunk", "leaning"],
        arcs: { knee: [0, 30], hip: [0, 105] },
      },
    ],
  ),
  source: commonPractice,
};

export const tiltHinge: Exercise = {
  id: "tilt-hinge",
  name: "Hinge with the forward tilt kept",
  family: "hinge",
  lane: "trunk",
  alsoTrains: ["hamstrings", "hip-extensors"],
  muscles: ["back-extensors", "hamstrings", "gluteus-maximus"],
  regions: ["back", "hip"],
  loads: loads("low", "moderate", "high"),
  sides: "both-together",
  effort: "moderate",
  feltIn: "along both sides of the low back, evenly",
  notFeltIn: "a sharp spot, or down the leg",
  cues: ["Tip the pelvis forward first and keep it tipped", "Fold only as far as the hollow stays"],
  faults: [
    backRounds,
    { code: "tilt-lost", name: "The hollow of the low back is lost", view: "side", phase: "down" },
  ],
  caution:
    "For backs that are stiff into extension. Not where bending back brings leg signs or a slip is known.",
  forbiddenBy: ["end-range-lumbar-extension"],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "both",
        range: "part",
        "load-place": "none",
      },
      dose: dose("control", { sets: 2, reps: from(10, 12), hold: undefined }),
      turns: [ladder("reps", "10-12", "12-15")],
      position: "standing",
      kit: [],
      phase: "compound",
      arcs: { knee: [0, 25], hip: [0, 60] },
    },
    [
      { id: "tilt-hinge-part", name: "Hands on the hips, part way" },
      {
        id: "tilt-hinge-full",
        name: "As far as the hollow stays",
        turn: ["range", "full"],
        arcs: { knee: [0, 25], hip: [0, 90] },
      },
      {
        id: "tilt-hinge-plate",
        name: "Plate at the chest",
        turn: ["load-place", "goblet"],
        kit: ["plates"],
        dose: dose("strength", { sets: 2, reps: from(10, 12), loadKg: 5 }),
        turns: [load("plates", 20, 2.5)],
      },
      {
        id: "tilt-hinge-bar",
        name: "Bar in the hands",
        turn: ["load-place", "bar"],
        kit: ["barbell"],
        dose: dose("strength", { sets: 2, reps: from(8, 12), loadKg: 20 }),
        turns: [load("barbell", 100, 2.5)],
      },
    ],
  ),
  source: commonPractice,
};

export const tableExtension: Exercise = {
  id: "table-extension",
  name: "Hip extension over a table",
  family: "table-extension",
  lane: "hip-extensors",
  muscles: ["gluteus-maximus", "hamstrings"],
  regions: ["hip", "back"],
  loads: loads("low", "low", "low"),
  sides: "each-side",
  effort: "light",
  feltIn: "the buttock of the lifted leg",
  notFeltIn: "the low back",
  cues: [
    "Chest rests on the table the whole time",
    "Lift from the buttock, no higher than the back stays still",
  ],
  faults: [
    { ...backArches, name: "Low back arches to lift higher" },
    { code: "pelvis-opens", name: "Pelvis opens to the side", view: "back", phase: "up" },
    momentum,
  ],
  safety: "A table that cannot slide.",
  forbiddenBy: ["forced-hip-extension"],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "single",
        lever: "short",
        range: "part",
        "load-place": "none",
      },
      dose: dose("control", { reps: from(10, 15), hold: from(3) }),
      turns: [ladder("reps", "8-10", "10-15", "15-20")],
      position: "standing",
      kit: ["table"],
      phase: "isolated",
      arcs: { knee: [0, 85], hip: [0, 80] },
    },
    [
      { id: "table-extension-bent", name: "Knee bent, to level" },
      { id: "table-extension-straight", name: "Leg straight, to level", turn: ["lever", "long"] },
      { id: "table-extension-full", name: "Leg straight, above level", turn: ["range", "full"] },
      {
        id: "table-extension-weight",
        name: "Leg straight, weight at the ankle",
        turn: ["load-place", "ankle"],
        kit: ["table", "ankle-weight"],
        dose: dose("strength", { sets: 2, reps: from(10, 15), loadKg: 1 }),
        turns: [load("ankle-weight", 5, 0.5)],
      },
    ],
  ),
  source: commonPractice,
};

export const pullExercises = [deadlift, swing, tiltHinge, tableExtension];
