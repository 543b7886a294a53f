import type { Exercise } from "~/core/exercise/exercise";
import { commonPractice } from "../source";
import { noHotCalf, noMaximalSqueeze } from "./cautions";
import { dose, from, ladder, loads, progression } from "./compose";
import { backArches, holdsBreath, oneSidePushes } from "./faults";

const held = dose("isometric-clinic", { policy: "hold", effort: undefined, hold: from(5, 10) });
const holds = ladder("hold", "5-10", "10-15", "15-20");

/** Isometric presses for the first weeks, with nothing but a wall, a chair or a rail. */
export const forefootPress: Exercise = {
  id: "forefoot-press",
  name: "Ball of the foot pressed into a wall, lying",
  family: "ankle-press",
  lane: "calf",
  muscles: ["gastrocnemius", "soleus"],
  regions: ["ankle", "lower-leg"],
  loads: loads("low", "low", "low"),
  sides: "each-side",
  effort: "light",
  feltIn: "calf",
  notFeltIn: "the front of the knee",
  cues: ["Knee straight, toes up the wall", "Press with the ball of the foot, as if on a pedal"],
  faults: [
    { code: "knee-locks-back", name: "Knee is pushed back", view: "side", phase: "throughout" },
    holdsBreath,
  ],
  caution: noHotCalf,
  forbiddenBy: [],
  leadsTo: ["calf-raise"],
  variants: progression(
    {
      settings: { contraction: "isometric", laterality: "both" },
      dose: held,
      turns: [holds],
      position: "supine",
      kit: ["wall"],
      phase: "isometric",
      arcs: { knee: [0, 10], hip: [0, 10] },
    },
    [
      { id: "forefoot-press-both", name: "Both feet" },
      { id: "forefoot-press-single", name: "One foot", turn: ["laterality", "single"] },
    ],
  ),
  source: commonPractice,
};

export const seatedSqueeze: Exercise = {
  id: "seated-squeeze",
  name: "Fists squeezed between the knees, sitting",
  family: "adductor-squeeze",
  lane: "adductors",
  muscles: ["adductors"],
  regions: ["groin", "hip"],
  loads: loads("low", "low", "low"),
  sides: "both-together",
  effort: "light",
  feltIn: "inner thigh, both sides alike",
  notFeltIn: "the pubic bone or the lower belly",
  cues: ["Both fists side by side between the knees", "Build the press over two seconds, let go as slowly"],
  breathing: "Slowly out while pressing.",
  faults: [oneSidePushes, holdsBreath],
  caution: noMaximalSqueeze,
  forbiddenBy: [],
  leadsTo: ["ball-squeeze", "adductor-slide"],
  variants: progression(
    {
      settings: { contraction: "isometric", laterality: "both", range: "part" },
      dose: held,
      turns: [holds],
      position: "sitting",
      kit: ["chair"],
      phase: "isometric",
      arcs: { knee: [80, 95], hip: [80, 95] },
    },
    [
      { id: "seated-squeeze-under", name: "Feet under the knees" },
      { id: "seated-squeeze-wide", name: "Feet wider than the knees", turn: ["range", "full"] },
    ],
  ),
  source: commonPractice,
};

export const standingGlutealSet: Exercise = {
  id: "standing-gluteal-set",
  name: "Buttock tightening, standing",
  family: "gluteal-set",
  lane: "hip-extensors",
  muscles: ["gluteus-maximus"],
  regions: ["hip", "back"],
  loads: loads("low", "low", "low"),
  sides: "both-together",
  effort: "light",
  feltIn: "buttocks, both alike",
  notFeltIn: "the low back",
  cues: ["Weight on both feet alike", "Tighten until the hips are straight, no farther"],
  faults: [{ ...backArches, phase: "throughout" }, holdsBreath],
  safety: "A rail or the back of a heavy chair in front.",
  forbiddenBy: [],
  leadsTo: ["bridge", "gluteal-set"],
  variants: progression(
    {
      settings: { contraction: "isometric", laterality: "both", support: "two-hands" },
      dose: held,
      turns: [holds],
      position: "standing",
      kit: ["chair"],
      phase: "isometric",
      arcs: { knee: [0, 5], hip: [0, 5] },
    },
    [
      { id: "standing-gluteal-set-held", name: "Holding on" },
      { id: "standing-gluteal-set-free", name: "Without holding on", turn: ["support", "none"], kit: [] },
    ],
  ),
  source: commonPractice,
};

export const earlyPressExercises = [forefootPress, seatedSqueeze, standingGlutealSet];
