import type { Exercise } from "~/core/exercise/exercise";
import { commonPractice } from "../source";
import { dose, from, ladder, loads, progression } from "./compose";
import { backArches, backSags, hipHike, trunkLeans } from "./faults";

const held = (bottom: number, top: number) =>
  dose("isometric-clinic", { policy: "hold", effort: undefined, hold: from(bottom, top), sets: 4 });

export const seatedHipRotation: Exercise = {
  id: "seated-hip-rotation",
  name: "Hip rotation in sitting",
  family: "hip-rotation",
  lane: "hip-rotators",
  muscles: ["hip-external-rotators", "hip-internal-rotators"],
  regions: ["hip"],
  loads: loads("low", "low", "low"),
  sides: "each-side",
  effort: "light",
  feltIn: "deep in the hip",
  notFeltIn: "a pinch in the groin or the inside of the knee",
  cues: ["Thigh stays still, the foot travels", "In and out, each as far as it is easy"],
  faults: [hipHike, trunkLeans],
  caution: "Own range only while a repaired capsule heals.",
  forbiddenBy: [],
  leadsTo: ["clam", "standing-clam"],
  variants: progression(
    {
      settings: { contraction: "isometric", laterality: "single", range: "part", perturbation: "none" },
      dose: held(5, 10),
      turns: [ladder("hold", "5-10", "10-15")],
      position: "sitting",
      kit: ["chair"],
      phase: "isometric",
      arcs: { knee: [85, 90], hip: [80, 90] },
    },
    [
      { id: "seated-rotation-hold", name: "Pressed against the other foot, held" },
      {
        id: "seated-rotation-own",
        name: "Own range",
        turn: ["contraction", "concentric-eccentric"],
        phase: "isolated",
        dose: dose("control", { reps: from(10, 20), hold: undefined }),
        turns: [ladder("reps", "10-20", "15-25")],
      },
      { id: "seated-rotation-full", name: "Own range to its end", turn: ["range", "full"] },
      {
        id: "seated-rotation-band",
        name: "Against a band at the foot",
        turn: ["perturbation", "band-foot"],
        kit: ["chair", "band"],
        dose: dose("strength", { sets: 2, reps: from(12, 20), bandN: 20 }),
        turns: [ladder("band", 20, 35, 50)],
      },
    ],
  ),
  source: commonPractice,
};

export const supineHipRotation: Exercise = {
  id: "supine-hip-rotation",
  name: "Hip rotation on the back",
  family: "hip-rotation",
  lane: "hip-rotators",
  alsoTrains: ["mobility"],
  muscles: ["hip-external-rotators", "hip-internal-rotators"],
  regions: ["hip"],
  loads: loads("low", "low", "low"),
  sides: "each-side",
  effort: "light",
  feltIn: "deep in the hip",
  notFeltIn: "a pinch in the groin",
  cues: ["Roll the whole leg from the hip", "Pelvis stays level"],
  faults: [{ code: "pelvis-rolls", name: "Pelvis rolls along", view: "front", phase: "throughout" }],
  forbiddenBy: [],
  variants: progression(
    {
      settings: { contraction: "concentric-eccentric", laterality: "single", "hip-angle": 0, range: "part" },
      dose: dose("activation", { policy: "fixed", reps: from(10, 20), hold: undefined }),
      turns: [],
      position: "supine",
      kit: [],
      phase: "range",
      arcs: { knee: [0, 5], hip: [0, 0] },
    },
    [
      { id: "leg-roll", name: "Leg rolled in and out, straight" },
      { id: "leg-roll-full", name: "Leg rolled in and out, to its end", turn: ["range", "full"] },
      {
        id: "bent-knee-fall-out",
        name: "Knee bent, foot down, let out and drawn in",
        turn: ["hip-angle", 50],
        arcs: { knee: [70, 90], hip: [45, 50] },
      },
    ],
  ),
  source: commonPractice,
};

export const quadrupedHip: Exercise = {
  id: "hands-and-knees-hip",
  name: "Hands-and-knees hip lift",
  family: "hands-and-knees-hip",
  lane: "hip-rotators",
  alsoTrains: ["hip-abductors", "hip-extensors", "trunk"],
  muscles: ["gluteus-maximus", "gluteus-medius", "hip-external-rotators"],
  regions: ["hip", "back"],
  loads: loads("low", "low", "low"),
  sides: "each-side",
  effort: "light",
  feltIn: "buttock and side of the hip",
  notFeltIn: "the low back",
  cues: ["Back like a table", "Knee stays at 90°", "Only as high as the back stays still"],
  faults: [backSags, { ...backArches, name: "Low back turns or arches" }],
  forbiddenBy: ["kneeling"],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "single",
        direction: "back",
        lever: "short",
        perturbation: "none",
      },
      dose: dose("control", { hold: from(3) }),
      turns: [ladder("reps", "10-20", "15-25")],
      position: "hands-and-knees",
      kit: [],
      phase: "isolated",
      arcs: { knee: [85, 90], hip: [-5, 90] },
    },
    [
      { id: "heel-to-ceiling", name: "Heel to the ceiling" },
      { id: "leg-out-side", name: "Knee out to the side", turn: ["direction", "across"] },
      {
        id: "leg-out-side-long",
        name: "Straight leg out to the side",
        turn: ["lever", "long"],
        arcs: { knee: [0, 5], hip: [60, 90] },
      },
      {
        id: "leg-out-side-band",
        name: "Straight leg out to the side, band above the knees",
        turn: ["perturbation", "band-thigh"],
        kit: ["band"],
        dose: dose("control", { reps: from(8, 12), hold: from(2), bandN: 30 }),
        turns: [ladder("band", 30, 50)],
      },
    ],
  ),
  source: commonPractice,
};

export const hipRotatorExercises = [seatedHipRotation, supineHipRotation, quadrupedHip];
