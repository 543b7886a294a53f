import type { Exercise } from "~/core/exercise/exercise";
import { commonPractice } from "../source";
import { dose, from, ladder, load, loads, progression } from "./compose";
import { backSags, holdsBreath, momentum } from "./faults";

export const shoulderRotation: Exercise = {
  id: "shoulder-rotation",
  name: "Shoulder outward rotation",
  family: "shoulder-rotation",
  lane: "upper-body",
  muscles: ["shoulder-girdle"],
  regions: ["shoulder"],
  loads: loads("low", "low", "low"),
  sides: "each-side",
  effort: "light",
  feltIn: "back of the shoulder",
  notFeltIn: "the tip of the shoulder or down the arm",
  cues: ["Elbow by the side, a towel between", "Turn out slowly, slower back"],
  faults: [{ code: "trunk-turns", name: "Trunk turns along", view: "front", phase: "up" }, momentum],
  forbiddenBy: [],
  variants: progression(
    {
      settings: { contraction: "isometric", laterality: "single", lever: "short", perturbation: "none" },
      dose: dose("isometric-clinic", { policy: "hold", effort: undefined, hold: from(10, 15), sets: 3 }),
      turns: [ladder("hold", "10-15", "15-20")],
      position: "standing",
      kit: ["doorway", "towel"],
      phase: "isometric",
      arcs: { knee: [0, 10], hip: [0, 10] },
    },
    [
      { id: "shoulder-press-out", name: "Pressed into a door frame" },
      {
        id: "shoulder-rotation-free",
        name: "Turned out, elbow by the side",
        turn: ["contraction", "concentric-eccentric"],
        phase: "isolated",
        kit: ["towel"],
        dose: dose("control", { reps: from(12, 15), hold: undefined }),
        turns: [ladder("reps", "12-15", "15-20")],
      },
      {
        id: "shoulder-rotation-up",
        name: "Turned out, elbow at shoulder height",
        turn: ["lever", "long"],
        kit: [],
      },
      {
        id: "shoulder-rotation-band",
        name: "Elbow at shoulder height, against a band",
        turn: ["perturbation", "band-foot"],
        kit: ["band"],
        dose: dose("strength", { sets: 2, reps: from(12, 15), bandN: 20 }),
        turns: [ladder("band", 20, 30, 40)],
      },
    ],
  ),
  source: commonPractice,
};

export const pushUp: Exercise = {
  id: "push-up",
  name: "Push-up",
  family: "push-up",
  lane: "upper-body",
  alsoTrains: ["trunk"],
  muscles: ["shoulder-girdle", "abdominals"],
  regions: ["shoulder", "back"],
  loads: loads("low", "low", "low"),
  sides: "both-together",
  effort: "moderate",
  feltIn: "chest, back of the arms, belly",
  cues: ["One line from head to heel", "Push the floor away at the top"],
  faults: [backSags, holdsBreath],
  forbiddenBy: [],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "both",
        lever: "short",
        range: "part",
        raised: "front-foot",
      },
      dose: dose("strength", { sets: 2, reps: from(8, 15) }),
      turns: [ladder("range", "part", "full"), ladder("reps", "8-15", "12-20")],
      position: "kneeling",
      kit: [],
      phase: "compound",
      arcs: { knee: [80, 90], hip: [0, 20] },
    },
    [
      { id: "push-up-knees", name: "Hands raised, from the knees" },
      {
        id: "push-up-feet",
        name: "Hands raised, from the feet",
        turn: ["lever", "long"],
        arcs: { knee: [0, 5], hip: [0, 10] },
        position: "prone",
      },
      { id: "push-up-floor", name: "From the floor", turn: ["raised", "flat"] },
      { id: "push-up-feet-raised", name: "Feet on a step", turn: ["raised", "both-feet"], kit: ["step"] },
    ],
  ),
  source: commonPractice,
};

export const row: Exercise = {
  id: "row",
  name: "Row",
  family: "row",
  lane: "upper-body",
  alsoTrains: ["trunk"],
  muscles: ["shoulder-girdle", "back-extensors"],
  regions: ["shoulder", "back"],
  loads: loads("low", "low", "moderate"),
  sides: "each-side",
  effort: "moderate",
  feltIn: "between the shoulder blade and the spine",
  cues: ["Draw the elbow to the hip", "The trunk does not turn"],
  faults: [{ code: "trunk-turns", name: "Trunk turns along", view: "back", phase: "up" }, momentum],
  forbiddenBy: [],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "both",
        support: "two-hands",
        "load-place": "none",
        trunk: "upright",
      },
      dose: dose("strength", { sets: 2, reps: from(10, 15) }),
      turns: [ladder("reps", "8-12", "10-15")],
      position: "sitting",
      kit: ["band", "chair"],
      phase: "isolated",
      arcs: { knee: [80, 90], hip: [80, 90] },
    },
    [
      { id: "row-seated-band", name: "Sitting, both hands on a band" },
      {
        id: "row-one-hand",
        name: "Leaning on a chair, one hand",
        turn: ["trunk", "leaning"],
        position: "standing",
        kit: ["chair", "towel"],
        arcs: { knee: [10, 30], hip: [60, 90] },
      },
      {
        id: "row-dumbbell",
        name: "Leaning on a chair, a dumbbell",
        turn: ["load-place", "hands"],
        kit: ["chair", "dumbbells"],
        phase: "compound",
        dose: dose("strength", { loadKg: 6 }),
        turns: [load("dumbbells", 40, 2)],
      },
      { id: "row-free", name: "Leaning free, a dumbbell", turn: ["support", "none"], kit: ["dumbbells"] },
    ],
  ),
  source: commonPractice,
};

/** What a prehab list carries for the shoulder. */
export const upperBodyExercises = [shoulderRotation, pushUp, row];
