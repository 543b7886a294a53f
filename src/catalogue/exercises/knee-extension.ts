import type { Exercise } from "~/core/exercise/exercise";
import { commonPractice } from "../source";
import { dose, from, ladder, load, loads, progression } from "./compose";
import { backArches, drops, momentum } from "./faults";

export const seatedExtension: Exercise = {
  id: "seated-extension",
  name: "Seated knee extension",
  family: "knee-extension-open",
  lane: "knee-extensors",
  muscles: ["quadriceps"],
  regions: ["knee", "thigh"],
  loads: loads("moderate", "low", "low"),
  sides: "each-side",
  effort: "moderate",
  feltIn: "front of the thigh",
  notFeltIn: "behind the kneecap",
  cues: ["Sit tall", "Lower for three seconds", "Stay in the arc that does not hurt"],
  faults: [drops, { code: "leans-back", name: "Leans back", view: "side", phase: "up" }],
  caution:
    "Short arc near straight or long arc: choose by where it hurts. After ligament surgery only as the surgeon allows.",
  forbiddenBy: ["open-chain-knee-extension"],
  leadsTo: ["extension-machine"],
  variants: progression(
    {
      settings: {
        contraction: "isometric",
        laterality: "single",
        arc: "60-90",
        attention: "undivided",
        surface: "firm",
      },
      dose: dose("isometric-clinic", { policy: "hold", effort: undefined, hold: from(10, 15) }),
      turns: [ladder("hold", "10-15", "15-30")],
      position: "sitting",
      kit: ["chair", "strap"],
      phase: "isometric",
      arcs: { knee: [60, 90], hip: [85, 90] },
    },
    [
      { id: "seated-extension-held", name: "Against a strap, held" },
      {
        id: "seated-extension-lowered-short",
        name: "Helped up, lowered alone in the painless arc",
        turn: ["contraction", "eccentric-only"],
        phase: "isolated",
        kit: ["chair"],
        dose: dose("strength", { reps: from(8, 12), tempo: "3-0-1-0" }),
        turns: [ladder("arc", "60-90", "45-90", "30-90", "0-90"), ladder("tempo", "3-0-1-0", "5-0-1-0")],
      },
      {
        id: "seated-extension-both-phases",
        name: "Up and down alone",
        turn: ["contraction", "concentric-eccentric"],
        dose: dose("strength", { tempo: "2-1-1-0" }),
        turns: [ladder("arc", "60-90", "45-90", "30-90", "0-90"), load("ankle-weight", 10, 0.5)],
      },
      {
        id: "seated-extension-ball",
        name: "Up and down alone, sitting on a gym ball",
        turn: ["surface", "unstable"],
        kit: ["gym-ball"],
      },
    ],
  ),
  source: commonPractice,
};

export const extensionMachine: Exercise = {
  id: "extension-machine",
  name: "Knee extension machine",
  family: "knee-extension-machine",
  lane: "knee-extensors",
  muscles: ["quadriceps"],
  regions: ["knee", "thigh"],
  loads: loads("moderate", "low", "low"),
  sides: "each-side",
  effort: "hard",
  feltIn: "front of the thigh",
  notFeltIn: "behind the kneecap",
  cues: ["Axis of the machine at the knee", "Up in one, hold, down in three"],
  faults: [momentum, drops],
  forbiddenBy: ["open-chain-knee-extension"],
  gauge: "knee-extension-force",
  variants: progression(
    {
      settings: { contraction: "isometric", laterality: "both", arc: "60-90" },
      dose: dose("isometric-tendon"),
      turns: [],
      position: "sitting",
      kit: ["knee-extension-machine"],
      phase: "isometric",
      arcs: { knee: [60, 90], hip: [85, 90] },
    },
    [
      { id: "extension-machine-hold", name: "Both legs, held at a painless angle" },
      {
        id: "extension-machine-hold-single",
        name: "One leg, held at a painless angle",
        turn: ["laterality", "single"],
      },
      {
        id: "extension-machine-lowered",
        name: "Lifted by both, lowered by one",
        turn: ["contraction", "eccentric-only"],
        phase: "isolated",
        dose: dose("strength", { loadKg: 15, tempo: "3-0-1-0" }),
        turns: [ladder("arc", "60-90", "45-90", "30-90", "0-90"), load("knee-extension-machine", 60, 2.5)],
      },
      {
        id: "extension-machine-single",
        name: "One leg, up and down",
        turn: ["contraction", "concentric-eccentric"],
        dose: dose("strength", { loadKg: 15, tempo: "3-1-1-0" }),
      },
      {
        id: "extension-machine-heavy",
        name: "One leg, whole arc, heavy and slow",
        turn: ["arc", "0-90"],
        arcs: { knee: [0, 90], hip: [85, 90] },
        dose: dose("heavy-slow", { loadKg: 20 }),
        turns: [ladder("repetition-maximum", 15, 12, 10, 8, 6), load("knee-extension-machine", 100, 2.5)],
      },
    ],
  ),
  source: commonPractice,
};

export const kneelingLeanBack: Exercise = {
  id: "kneeling-lean-back",
  name: "Kneeling lean-back",
  family: "kneeling-lean-back",
  lane: "knee-extensors",
  alsoTrains: ["trunk"],
  muscles: ["quadriceps", "abdominals"],
  regions: ["knee", "thigh"],
  loads: loads("high", "low", "moderate"),
  sides: "both-together",
  effort: "hard",
  feltIn: "front of both thighs",
  notFeltIn: "the low back or under the kneecap",
  cues: ["Hips and trunk in one line", "Lean back only as far as you can return"],
  faults: [{ code: "hips-fold", name: "Hips fold", view: "side", phase: "down" }, backArches],
  caution: "Late stage. Kneeling on the front of a repaired knee needs getting used to first.",
  safety: "Thick pad under the knees; a wall or helper behind at first.",
  forbiddenBy: ["kneeling"],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "both",
        assistance: "strong",
        range: "part",
        "load-place": "none",
      },
      dose: dose("strength", { reps: from(6, 10), tempo: "3-0-2-0" }),
      turns: [ladder("range", "part", "three-quarter", "full")],
      position: "kneeling",
      kit: ["pad", "pillow"],
      phase: "isolated",
      arcs: { knee: [90, 120], hip: [0, 5] },
    },
    [
      { id: "lean-back-pillows", name: "Back towards a stack of pillows" },
      {
        id: "lean-back-strap",
        name: "Holding a strap",
        turn: ["assistance", "light"],
        kit: ["pad", "strap"],
      },
      { id: "lean-back-free", name: "Free", turn: ["assistance", "none"], kit: ["pad"] },
      {
        id: "lean-back-weight",
        name: "Weight held at the chest",
        turn: ["load-place", "goblet"],
        kit: ["pad", "dumbbells"],
        turns: [ladder("range", "part", "three-quarter", "full"), load("dumbbells", 20, 2)],
      },
    ],
  ),
  source: commonPractice,
};

export const kneeExtensionExercises = [seatedExtension, extensionMachine, kneelingLeanBack];
