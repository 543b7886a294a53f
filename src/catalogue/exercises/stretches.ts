import type { Exercise } from "~/core/exercise/exercise";
import { commonPractice } from "../source";
import { dose, from, ladder, loads, progression } from "./compose";
import { backArches, heelsLift } from "./faults";

const easyReps = dose("activation", { policy: "fixed", reps: from(10, 15), hold: undefined });
const ownStretch = dose("stretch");

export const kneeToWall: Exercise = {
  id: "knee-to-wall",
  name: "Knee-to-wall ankle rocks",
  family: "ankle-range",
  lane: "mobility",
  muscles: ["soleus", "tibialis-anterior"],
  regions: ["ankle", "lower-leg"],
  loads: loads("low", "low", "low"),
  sides: "each-side",
  effort: "light",
  feltIn: "deep in the calf",
  notFeltIn: "a block in the front of the ankle",
  cues: ["Heel stays down", "Knee travels over the second toe", "Stop where the heel wants to lift"],
  faults: [
    { ...heelsLift, name: "Heel lifts" },
    { code: "foot-rolls", name: "Arch rolls in", view: "front", phase: "bottom" },
  ],
  forbiddenBy: [],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "staggered",
        support: "two-hands",
        perturbation: "none",
        "load-place": "none",
        reach: 4,
      },
      dose: easyReps,
      turns: [ladder("reach", 2, 4, 6, 8, 10, 12)],
      position: "standing",
      kit: ["wall"],
      phase: "range",
      arcs: { knee: [20, 60], hip: [10, 40] },
    },
    [
      { id: "knee-to-wall-held", name: "Hands on the wall" },
      { id: "knee-to-wall-free", name: "Hands off the wall", turn: ["support", "none"] },
      {
        id: "knee-to-wall-band",
        name: "Band round the front of the ankle",
        turn: ["perturbation", "band-foot"],
        kit: ["wall", "band"],
      },
      {
        id: "knee-to-wall-weighted",
        name: "Band and a weight on the thigh",
        turn: ["load-place", "thighs"],
        kit: ["wall", "band", "dumbbells"],
      },
    ],
  ),
  source: commonPractice,
};

export const halfKneelingStretch: Exercise = {
  id: "half-kneeling-hip-stretch",
  name: "Half-kneeling hip-flexor stretch",
  family: "hip-front-length",
  lane: "mobility",
  muscles: ["hip-flexors", "gluteus-maximus"],
  regions: ["hip", "back"],
  loads: loads("moderate", "moderate", "low"),
  sides: "each-side",
  effort: "light",
  feltIn: "front of the hip and thigh of the kneeling side",
  notFeltIn: "the low back",
  cues: ["Tuck the pelvis and squeeze the buttock first", "Move forward without arching"],
  faults: [backArches],
  safety: "Pad under the knee, something to hold beside.",
  forbiddenBy: ["forced-hip-extension", "kneeling"],
  variants: progression(
    {
      settings: { contraction: "isometric", laterality: "staggered", support: "two-hands", range: "part" },
      dose: ownStretch,
      turns: [],
      position: "kneeling",
      kit: ["pad", "chair"],
      phase: "range",
      arcs: { knee: [90, 110], hip: [-15, 90] },
    },
    [
      { id: "half-kneeling-stretch-held", name: "Holding on, tuck only" },
      { id: "half-kneeling-stretch-further", name: "Holding on, pelvis forward", turn: ["range", "full"] },
      {
        id: "half-kneeling-stretch-free",
        name: "Arm overhead, without holding on",
        turn: ["support", "none"],
        kit: ["pad"],
      },
    ],
  ),
  source: commonPractice,
};

export const hamstringStretch: Exercise = {
  id: "hamstring-stretch",
  name: "Hamstring stretch with a strap",
  family: "hamstring-length",
  lane: "mobility",
  muscles: ["hamstrings"],
  regions: ["thigh", "hip"],
  loads: loads("low", "low", "low"),
  sides: "each-side",
  effort: "light",
  feltIn: "back of the thigh",
  notFeltIn: "behind the knee, the sit bone, or down the leg",
  cues: ["Pelvis stays level on the floor", "Straighten the knee last"],
  faults: [{ code: "pelvis-rolls", name: "Pelvis rolls off the floor", view: "side", phase: "up" }],
  caution: "Not in the first days of a hamstring strain, and not before sprinting.",
  forbiddenBy: ["hamstring-lengthening"],
  variants: progression(
    {
      settings: { contraction: "isometric", laterality: "single", assistance: "strong", lever: "short" },
      dose: ownStretch,
      turns: [],
      position: "supine",
      kit: ["strap"],
      phase: "range",
      arcs: { knee: [20, 60], hip: [60, 90] },
    },
    [
      { id: "hamstring-stretch-bent", name: "Knee bent" },
      {
        id: "hamstring-stretch-straight",
        name: "Knee straight",
        turn: ["lever", "long"],
        arcs: { knee: [0, 10], hip: [50, 90] },
      },
      {
        id: "hamstring-stretch-active",
        name: "Lifted by its own strength, strap lies ready",
        turn: ["assistance", "light"],
        dose: dose("activation", { policy: "fixed", reps: from(8), hold: from(3) }),
      },
    ],
  ),
  source: commonPractice,
};

export const stretchExercises = [kneeToWall, halfKneelingStretch, hamstringStretch];
