import type { Exercise } from "~/core/exercise/exercise";
import { commonPractice } from "../source";
import { dose, from, ladder, loads, progression } from "./compose";

const tightenHold = dose("isometric-clinic", { policy: "hold", effort: undefined, hold: from(5, 10) });

export const quadSet: Exercise = {
  id: "quad-set",
  name: "Thigh tightening",
  family: "quad-activation",
  lane: "knee-extensors",
  muscles: ["quadriceps"],
  regions: ["knee", "thigh"],
  loads: loads("low", "low", "low"),
  sides: "each-side",
  effort: "light",
  feltIn: "front of the thigh, above the kneecap",
  notFeltIn: "the back of the knee or the hip",
  cues: ["Draw the kneecap up", "Press the back of the knee down", "Toes up for more"],
  faults: [{ code: "hip-presses", name: "Presses with the hip", view: "side", phase: "up" }],
  forbiddenBy: [],
  leadsTo: ["straight-leg-wall-press", "terminal-extension"],
  variants: progression(
    {
      settings: { contraction: "isometric", laterality: "both", assistance: "strong", "knee-angle": 20 },
      dose: tightenHold,
      turns: [ladder("hold", "5-10", "10-15")],
      position: "supine",
      kit: ["towel"],
      phase: "isometric",
      arcs: { knee: [0, 20], hip: [0, 10] },
    },
    [
      { id: "quad-set-both", name: "Both legs, over a rolled towel" },
      { id: "quad-set-single", name: "One leg, over a rolled towel", turn: ["laterality", "single"] },
      { id: "quad-set-alone", name: "One leg, without feeling with the hand", turn: ["assistance", "none"] },
    ],
  ),
  source: commonPractice,
};

export const straightLegWallPress: Exercise = {
  id: "straight-leg-wall-press",
  name: "Straight-leg press into a wall",
  family: "quad-activation",
  lane: "knee-extensors",
  muscles: ["quadriceps", "gluteus-maximus"],
  regions: ["knee", "thigh"],
  loads: loads("low", "low", "low"),
  sides: "each-side",
  effort: "moderate",
  feltIn: "front of the thigh",
  cues: ["Back to the wall, heel against it", "Straighten the knee into the wall for ten seconds"],
  faults: [{ code: "leans", name: "Leans away instead of pressing", view: "side", phase: "throughout" }],
  forbiddenBy: [],
  variants: progression(
    {
      settings: { contraction: "isometric", laterality: "staggered", support: "one-hand", lever: "short" },
      dose: dose("isometric-clinic", { policy: "hold", effort: undefined, hold: from(10, 15) }),
      turns: [ladder("hold", "10-15", "15-20")],
      position: "standing",
      kit: ["wall"],
      phase: "isometric",
      arcs: { knee: [0, 15], hip: [0, 10] },
    },
    [
      { id: "wall-press-knee", name: "Ball of the thumb behind the knee, hand held" },
      { id: "wall-press-heel", name: "Heel at the wall, hand held", turn: ["lever", "long"] },
      { id: "wall-press-free", name: "Heel at the wall, free", turn: ["support", "none"] },
    ],
  ),
  source: commonPractice,
};

export const terminalExtension: Exercise = {
  id: "terminal-extension",
  name: "Last degrees against a band",
  family: "knee-extension-closed",
  lane: "knee-extensors",
  muscles: ["quadriceps"],
  regions: ["knee"],
  loads: loads("low", "low", "low"),
  sides: "each-side",
  effort: "moderate",
  feltIn: "front of the thigh just above the knee",
  cues: ["Band behind the knee, heel down", "Straighten and squeeze two seconds", "Toes up for more"],
  faults: [{ code: "hip-back", name: "Hip goes back instead of the knee", view: "side", phase: "up" }],
  forbiddenBy: [],
  leadsTo: ["seated-extension", "side-step-up"],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "staggered",
        support: "two-hands",
        arc: "0-20",
      },
      dose: dose("control", { reps: from(10, 15), hold: from(2), bandN: 40 }),
      turns: [ladder("reps", "10-15", "15-20"), ladder("band", 40, 60, 80)],
      position: "standing",
      kit: ["band", "chair"],
      phase: "isolated",
      arcs: { knee: [0, 20], hip: [0, 15] },
    },
    [
      { id: "terminal-extension-held", name: "Both hands held" },
      { id: "terminal-extension-free", name: "Free", turn: ["support", "none"], kit: ["band"] },
      {
        id: "terminal-extension-deeper",
        name: "Free, from a deeper bend",
        turn: ["arc", "0-40"],
        arcs: { knee: [0, 40], hip: [0, 25] },
      },
      { id: "terminal-extension-single", name: "On one leg", turn: ["laterality", "single"] },
    ],
  ),
  source: commonPractice,
};

export const kneeExtensorExercises = [quadSet, straightLegWallPress, terminalExtension];
