import type { Exercise } from "~/core/exercise/exercise";
import { commonPractice, recalled } from "../source";
import { dose, from, ladder, load, loads, progression } from "./compose";
import { hipHike, hipRolls, trunkLeans } from "./faults";

const distefano = (
  variantId: string,
  muscle: "gluteus-medius" | "gluteus-maximus",
  meanPercent: number,
  sdPercent: number,
) => ({
  variantId,
  muscle,
  meanPercent,
  sdPercent,
  source: recalled("Distefano 2009"),
  leftOut: "twelve exercises of healthy, active adults; no bridges, no loads, no patients",
});
const liftDose = dose("control", { hold: from(3) });

export const doorPress: Exercise = {
  id: "door-press",
  name: "Press outward into a door frame",
  family: "abductor-press",
  lane: "hip-abductors",
  muscles: ["gluteus-medius"],
  regions: ["hip"],
  loads: loads("low", "low", "low"),
  sides: "each-side",
  effort: "light",
  feltIn: "side of the hip",
  notFeltIn: "the low back",
  cues: ["Stand level, press the outer foot into the frame", "Nothing else may move"],
  faults: [trunkLeans, hipHike],
  forbiddenBy: [],
  leadsTo: ["side-lying-lift", "standing-kick"],
  variants: progression(
    {
      settings: { contraction: "isometric", laterality: "single", lever: "short", support: "two-hands" },
      dose: dose("isometric-clinic", { policy: "hold", effort: undefined, hold: from(10, 15) }),
      turns: [ladder("hold", "10-15", "15-20")],
      position: "standing",
      kit: ["doorway"],
      phase: "isometric",
      arcs: { knee: [0, 20], hip: [0, 20] },
    },
    [
      { id: "door-press-knee", name: "Outer knee against the frame, both hands held" },
      {
        id: "door-press-foot",
        name: "Outer foot against the frame, both hands held",
        turn: ["lever", "long"],
      },
      { id: "door-press-free", name: "Outer foot against the frame, free", turn: ["support", "none"] },
    ],
  ),
  source: commonPractice,
};

export const sideLyingLift: Exercise = {
  id: "side-lying-lift",
  name: "Side-lying leg lift",
  family: "side-lying-lift",
  lane: "hip-abductors",
  muscles: ["gluteus-medius", "gluteus-minimus"],
  regions: ["hip"],
  loads: loads("low", "low", "low"),
  sides: "each-side",
  effort: "light",
  feltIn: "side of the hip",
  notFeltIn: "the front of the hip",
  cues: ["Leg slightly behind the body", "Heel leads, toes straight ahead"],
  faults: [hipRolls, { code: "leg-forward", name: "Leg drifts forward", view: "side", phase: "up" }],
  forbiddenBy: [],
  activation: [
    distefano("side-lying-lift-straight", "gluteus-medius", 81, 42),
    distefano("side-lying-lift-straight", "gluteus-maximus", 39, 18),
  ],
  leadsTo: ["band-side-steps", "side-plank"],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "single",
        support: "one-hand",
        lever: "short",
      },
      dose: liftDose,
      turns: [ladder("reps", "10-20", "15-25")],
      position: "side-lying",
      kit: [],
      phase: "isolated",
      arcs: { knee: [0, 90], hip: [-10, 10] },
    },
    [
      { id: "side-lying-lift-bent", name: "Lift with the knee bent" },
      {
        id: "side-lying-lift-straight",
        name: "Lift with the leg straight",
        turn: ["lever", "long"],
        arcs: { knee: [0, 5], hip: [-10, 10] },
        turns: [ladder("reps", "10-20", "15-25"), load("ankle-weight", 5, 0.5, 10)],
      },
      { id: "side-lying-lift-free", name: "Leg straight, upper hand on the hip", turn: ["support", "none"] },
    ],
  ),
  source: commonPractice,
};

export const clam: Exercise = {
  id: "clam",
  name: "Clam",
  family: "clam",
  lane: "hip-rotators",
  alsoTrains: ["hip-abductors"],
  muscles: ["hip-external-rotators", "gluteus-medius", "gluteus-maximus"],
  regions: ["hip"],
  loads: loads("low", "low", "low"),
  sides: "each-side",
  effort: "light",
  feltIn: "deep behind the hip",
  cues: ["Heels together, open the upper knee", "Pelvis does not roll"],
  faults: [hipRolls],
  forbiddenBy: [],
  activation: [
    distefano("clam-30", "gluteus-medius", 40, 38),
    distefano("clam-30", "gluteus-maximus", 34, 27),
    distefano("clam-60", "gluteus-medius", 38, 29),
    distefano("clam-60", "gluteus-maximus", 39, 34),
  ],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "single",
        "hip-angle": 30,
        perturbation: "none",
      },
      dose: liftDose,
      turns: [ladder("reps", "10-20", "15-25")],
      position: "side-lying",
      kit: [],
      phase: "isolated",
      arcs: { knee: [80, 90], hip: [30, 30] },
    },
    [
      { id: "clam-30", name: "Hips bent 30°" },
      {
        id: "clam-60",
        name: "Hips bent 60°",
        turn: ["hip-angle", 60],
        arcs: { knee: [80, 90], hip: [60, 60] },
      },
      {
        id: "clam-band",
        name: "Hips bent 60°, band above the knees",
        turn: ["perturbation", "band-thigh"],
        kit: ["band"],
        dose: dose("control", { hold: from(3), bandN: 30 }),
        turns: [ladder("reps", "10-20", "15-25"), ladder("band", 30, 50, 70)],
      },
    ],
  ),
  source: commonPractice,
};

export const lyingAbductorExercises = [doorPress, sideLyingLift, clam];
