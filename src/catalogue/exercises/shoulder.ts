import type { Exercise } from "~/core/exercise/exercise";
import { commonPractice } from "../source";
import { dose, from, ladder, load, loads, progression } from "./compose";
import { backArches, backSags, momentum } from "./faults";

const trunkTurns = { code: "trunk-turns", name: "Trunk turns along", view: "front", phase: "up" } as const;
const shrugs = { code: "shrugs", name: "Shoulder creeps up to the ear", view: "front", phase: "up" } as const;
export const inwardRotation: Exercise = {
  lane: "upper-body",
  loads: loads("low", "low", "low"),
  source: commonPractice,
  muscles: ["shoulder-girdle"],
  regions: ["shoulder"],
  forbiddenBy: [],
  id: "shoulder-inward-rotation",
  name: "Shoulder inward rotation",
  family: "shoulder-rotation",
  sides: "each-side",
  effort: "light",
  feltIn: "front of the shoulder and armpit",
  notFeltIn: "the tip of the shoulder",
  cues: ["Upper arm stays where it is, only the forearm moves", "Slow on the way back out"],
  faults: [trunkTurns, shrugs, momentum],
  variants: progression(
    {
      settings: { contraction: "isometric", laterality: "single", lever: "short" },
      dose: dose("isometric-clinic", { policy: "hold", effort: undefined, hold: from(10, 15), sets: 3 }),
      turns: [ladder("hold", "10-15", "15-20")],
      position: "standing",
      kit: ["doorway"],
      phase: "isometric",
      arcs: { knee: [0, 10], hip: [0, 10] },
    },
    [
      { id: "inward-rotation-press", name: "Pressed into a door frame" },
      {
        id: "inward-rotation-side",
        name: "Against a band, elbow by the side",
        turn: ["contraction", "concentric-eccentric"],
        phase: "isolated",
        kit: ["band"],
        dose: dose("strength", { sets: 2, reps: from(12, 15), bandN: 20 }),
        turns: [ladder("band", 20, 30, 40)],
      },
      {
        id: "inward-rotation-high",
        name: "Against a band, elbow at shoulder height",
        turn: ["lever", "long"],
      },
    ],
  ),
};

export const bottomUpPress: Exercise = {
  lane: "upper-body",
  loads: loads("low", "low", "low"),
  source: commonPractice,
  muscles: ["shoulder-girdle"],
  regions: ["shoulder"],
  forbiddenBy: [],
  id: "bottom-up-press",
  name: "Overhead press, weight bottom up",
  family: "bottom-up-press",
  alsoTrains: ["trunk"],
  sides: "each-side",
  effort: "moderate",
  feltIn: "shoulder and shoulder blade, the forearm gripping",
  notFeltIn: "the tip of the shoulder or the neck",
  cues: ["Knuckles to the ceiling, wrist straight", "Ribs down as the arm goes up"],
  faults: [shrugs, { ...backArches, name: "Low back arches overhead" }],
  safety: "Light, over a floor that may be dropped on.",
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "both",
        range: "part",
        "load-place": "none",
      },
      dose: dose("control", { sets: 2, reps: from(8, 12), hold: undefined }),
      turns: [ladder("reps", "8-12", "12-15")],
      position: "standing",
      kit: [],
      phase: "isolated",
      arcs: { knee: [0, 10], hip: [0, 10] },
    },
    [
      { id: "bottom-up-part", name: "Empty hand, to eye height" },
      { id: "bottom-up-full", name: "Empty hand, overhead", turn: ["range", "full"] },
      {
        id: "bottom-up-weight",
        name: "Weight bottom up, overhead",
        turn: ["load-place", "hands"],
        kit: ["kettlebell"],
        dose: dose("strength", { sets: 2, reps: from(6, 10), loadKg: 4 }),
        turns: [load("kettlebell", 16, 4)],
      },
      { id: "bottom-up-one-leg", name: "Standing on one leg", turn: ["laterality", "single"] },
    ],
  ),
};

export const shoulderTaps: Exercise = {
  lane: "upper-body",
  loads: loads("low", "low", "low"),
  source: commonPractice,
  muscles: ["shoulder-girdle", "obliques", "abdominals"],
  regions: ["shoulder", "back"],
  forbiddenBy: [],
  id: "shoulder-taps",
  name: "Shoulder taps",
  family: "shoulder-taps",
  alsoTrains: ["trunk"],
  sides: "each-side",
  effort: "moderate",
  feltIn: "the arm that stays, and the belly",
  cues: ["Hips as quiet as a table", "Push the floor away with the arm that stays"],
  faults: [
    { ...backSags, name: "Back sags between the shoulders" },
    { code: "hips-sway", name: "Hips sway from side to side", view: "back", phase: "throughout" },
  ],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "both",
        lever: "short",
        direction: "across",
      },
      dose: dose("control", { sets: 2, reps: from(6, 10), hold: undefined }),
      turns: [ladder("reps", "6-10", "10-12")],
      position: "kneeling",
      kit: [],
      phase: "isolated",
      arcs: { knee: [0, 40], hip: [0, 20] },
    },
    [
      { id: "shoulder-taps-knees", name: "From the knees" },
      { id: "shoulder-taps-feet", name: "From the feet", turn: ["lever", "long"], position: "prone" },
      { id: "shoulder-taps-turning", name: "From the feet, turning open", turn: ["direction", "rotational"] },
    ],
  ),
};

export const armRaises: Exercise = {
  lane: "upper-body",
  loads: loads("low", "low", "low"),
  source: commonPractice,
  muscles: ["shoulder-girdle"],
  regions: ["shoulder"],
  forbiddenBy: [],
  id: "arm-raises",
  name: "Arm raises, face down",
  family: "arm-raises",
  sides: "both-together",
  effort: "light",
  feltIn: "between and below the shoulder blades",
  notFeltIn: "the neck",
  cues: ["Thumbs up, neck long", "Blades slide down before the arms rise"],
  faults: [shrugs, { ...momentum, code: "head-lifts", name: "Head lifts along" }],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "both",
        direction: "back",
        "load-place": "none",
      },
      dose: dose("control", { sets: 2, reps: from(8, 12), hold: from(2) }),
      turns: [ladder("reps", "8-12", "12-15")],
      position: "prone",
      kit: [],
      phase: "isolated",
      arcs: { knee: [0, 5], hip: [0, 5] },
    },
    [
      { id: "arm-raises-back", name: "Along the sides" },
      { id: "arm-raises-out", name: "Straight out", turn: ["direction", "across"] },
      { id: "arm-raises-overhead", name: "Overhead, slanting out", turn: ["direction", "forward"] },
      {
        id: "arm-raises-weight",
        name: "Overhead, a small weight in each hand",
        turn: ["load-place", "hands"],
        kit: ["dumbbells"],
        dose: dose("strength", { sets: 2, reps: from(8, 12), loadKg: 2 }),
        turns: [load("dumbbells", 6, 2)],
      },
    ],
  ),
};

/** More of what a prehab list carries for the shoulder. */
export const shoulderExercises = [inwardRotation, bottomUpPress, shoulderTaps, armRaises];
