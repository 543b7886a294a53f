import type { Exercise } from "~/core/exercise/exercise";
import { commonPractice } from "../source";
import { dose, from, ladder, load, loads, progression } from "./compose";
import { plankExercises } from "./planks";
import { backArches, backSags, drops } from "./faults";

export const birdDog: Exercise = {
  id: "opposite-reach",
  name: "Opposite arm and leg reach",
  family: "opposite-reach",
  lane: "trunk",
  alsoTrains: ["hip-extensors", "balance"],
  muscles: ["back-extensors", "gluteus-maximus", "abdominals"],
  regions: ["back", "hip"],
  loads: loads("low", "low", "low"),
  sides: "each-side",
  effort: "light",
  feltIn: "along the back and the buttock of the reaching leg",
  cues: ["Reach long rather than high", "A cup on the back would stay full"],
  faults: [backSags, { code: "pelvis-tips", name: "Pelvis tips to one side", view: "back", phase: "up" }],
  forbiddenBy: ["kneeling"],
  variants: progression(
    {
      settings: { contraction: "isometric", laterality: "staggered", lever: "short", surface: "firm" },
      dose: dose("activation", {
        policy: "hold",
        reps: from(6, 8),
        hold: from(5, 8),
        sets: 2,
        restSeconds: 30,
      }),
      turns: [ladder("hold", "5-8", "8-10")],
      position: "hands-and-knees",
      kit: [],
      phase: "isometric",
      arcs: { knee: [85, 90], hip: [60, 90] },
    },
    [
      { id: "opposite-reach-slide", name: "Leg slides back, toes stay down" },
      {
        id: "opposite-reach-long",
        name: "Leg lifted long, arm stays",
        turn: ["lever", "long"],
        arcs: { knee: [0, 10], hip: [-5, 90] },
      },
      { id: "opposite-reach-single", name: "Leg and opposite arm lifted", turn: ["laterality", "single"] },
      {
        id: "opposite-reach-soft",
        name: "Leg and arm lifted, knee on a cushion",
        turn: ["surface", "soft"],
        kit: ["soft-mat"],
      },
    ],
  ),
  source: commonPractice,
};

export const backExtension: Exercise = {
  id: "back-extension",
  name: "Back extension",
  family: "back-extension",
  lane: "trunk",
  alsoTrains: ["hip-extensors", "hamstrings"],
  muscles: ["back-extensors", "gluteus-maximus", "hamstrings"],
  regions: ["back", "hip"],
  loads: loads("low", "low", "high"),
  sides: "both-together",
  effort: "moderate",
  feltIn: "along the back and the buttocks",
  notFeltIn: "one sharp spot, or the leg",
  cues: ["Legs locked, fold at the hips", "Come up to one line, not beyond"],
  faults: [{ ...backArches, name: "Arches past the line" }, drops],
  caution:
    "Backs that dislike bending backward: stop at the line, and not after a slipped vertebra before the clinician says so.",
  forbiddenBy: ["end-range-lumbar-extension"],
  variants: progression(
    {
      settings: { contraction: "isometric", laterality: "both", lever: "short", "load-place": "none" },
      dose: dose("endurance", { hold: from(10, 20) }),
      turns: [ladder("hold", "10-20", "20-40", "40-60")],
      position: "prone",
      kit: [],
      phase: "isometric",
      arcs: { knee: [0, 5], hip: [-10, 10] },
    },
    [
      { id: "back-hold-floor", name: "Chest just off the floor, hands at the sides, held" },
      { id: "back-hold-long", name: "Held, arms at the ears", turn: ["lever", "long"] },
      {
        id: "back-extension-bench",
        name: "45° bench, arms at the ears, up and down",
        turn: ["contraction", "concentric-eccentric"],
        phase: "isolated",
        kit: ["back-extension-bench"],
        dose: dose("strength", { sets: 2, reps: from(10, 12) }),
        turns: [ladder("reps", "10-12", "12-15")],
        arcs: { knee: [0, 5], hip: [0, 80] },
        position: "standing",
      },
      {
        id: "back-extension-loaded",
        name: "45° bench, plate at the chest",
        turn: ["load-place", "goblet"],
        phase: "compound",
        kit: ["back-extension-bench", "plates"],
        dose: dose("strength", { loadKg: 5 }),
        turns: [load("plates", 40, 2.5)],
      },
    ],
  ),
  source: commonPractice,
};

export const carry: Exercise = {
  id: "carry",
  name: "Loaded carry",
  family: "carry",
  lane: "trunk",
  alsoTrains: ["hip-abductors", "upper-body"],
  muscles: ["obliques", "quadratus-lumborum", "gluteus-medius"],
  regions: ["back", "hip", "shoulder"],
  loads: loads("low", "moderate", "moderate"),
  sides: "each-side",
  effort: "moderate",
  feltIn: "side of the trunk away from the weight",
  cues: ["Walk as if nothing hung there", "Belt and shoulders level"],
  faults: [
    { code: "leans", name: "Leans away from the weight", view: "front", phase: "throughout" },
    { code: "hip-drops", name: "Hip drops with each step", view: "back", phase: "throughout" },
  ],
  forbiddenBy: [],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "both",
        "load-place": "hands",
        surface: "firm",
      },
      dose: dose("circuit", { sets: 3, reps: undefined, minutes: 0.5, restSeconds: 45, loadKg: 6 }),
      turns: [load("dumbbells", 40, 2)],
      position: "standing",
      kit: ["dumbbells"],
      phase: "compound",
      arcs: { knee: [0, 40], hip: [-10, 30] },
    },
    [
      { id: "carry-two-hands", name: "A weight in each hand" },
      { id: "carry-one-hand", name: "A weight in one hand", turn: ["load-place", "same-hand"] },
      {
        id: "carry-overhead",
        name: "A weight held overhead",
        turn: ["load-place", "overhead"],
        turns: [load("dumbbells", 20, 2)],
      },
    ],
  ),
  source: commonPractice,
};

/** Trunk exercises. */
export const trunkExercises = [...plankExercises, birdDog, backExtension, carry];
