import type { Exercise, Turn } from "~/core/exercise/exercise";
import { commonPractice } from "../source";
import { dose, from, ladder, loads, progression } from "./compose";
import { archCollapses, kneeIn, pelvisDrops, trunkLeans } from "./faults";

export const singleLegStance: Exercise = {
  id: "single-leg-stance",
  name: "Single-leg stance",
  family: "single-leg-stance",
  lane: "balance",
  alsoTrains: ["hip-abductors"],
  muscles: ["gluteus-medius", "foot-intrinsics", "soleus"],
  regions: ["hip", "knee", "ankle"],
  loads: loads("low", "low", "low"),
  sides: "each-side",
  effort: "light",
  feltIn: "foot, calf and side of the hip",
  cues: ["Soft knee", "Belt level"],
  faults: [pelvisDrops, { ...trunkLeans, name: "Trunk leans over" }, archCollapses],
  safety: "A corner or a chair within reach.",
  forbiddenBy: [],
  leadsTo: ["three-way-reach"],
  variants: progression(
    {
      settings: {
        contraction: "isometric",
        laterality: "staggered",
        support: "one-hand",
        "free-leg": "beside",
        vision: "open",
        surface: "firm",
        attention: "undivided",
      },
      dose: dose("balance", { hold: from(10, 30) }),
      turns: [ladder("hold", "5-10", "10-30")],
      position: "standing",
      kit: [],
      phase: "isometric",
      arcs: { knee: [5, 15], hip: [0, 10] },
    },
    [
      { id: "stance-tandem-held", name: "Heel to toe, one hand held" },
      { id: "stance-single-held", name: "On one leg, one hand held", turn: ["laterality", "single"] },
      { id: "stance-eyes-open", name: "Eyes open", turn: ["support", "none"] },
      {
        id: "stance-eyes-closed",
        name: "Eyes closed",
        turn: ["vision", "closed"],
        dose: dose("balance", { hold: from(5, 20) }),
        turns: [ladder("hold", "5-20", "10-30")],
      },
      { id: "stance-soft", name: "Eyes closed, on a soft mat", turn: ["surface", "soft"], kit: ["soft-mat"] },
      {
        id: "stance-task",
        name: "Eyes closed, on a soft mat, counting backward",
        turn: ["attention", "second-task"],
      },
    ],
  ),
  source: commonPractice,
};

/** A reach grows by 'a few' centimetres from time to time (common practice). */
const reachStepCm = 3;
/** From 20 cm a few centimetres at a time: everybody climbs from where they stand. */
const reaches = (mostCm: number): Turn => ({
  knob: "reach",
  ladder: Array.from({ length: (mostCm - 20) / reachStepCm + 1 }, (_, n) => 20 + n * reachStepCm),
  ownStep: reachStepCm,
});

export const threeWayReach: Exercise = {
  id: "three-way-reach",
  name: "Reaches on one leg",
  family: "reach",
  lane: "balance",
  alsoTrains: ["hip-abductors", "knee-extensors"],
  muscles: ["gluteus-medius", "quadriceps", "soleus"],
  regions: ["hip", "knee", "ankle"],
  loads: loads("moderate", "moderate", "low"),
  sides: "each-side",
  effort: "moderate",
  feltIn: "thigh, side of the hip and foot of the standing leg",
  cues: ["Hover, do not touch", "A few centimetres farther each time", "Heel stays down"],
  faults: [
    kneeIn,
    pelvisDrops,
    { code: "touches", name: "Puts weight on the reaching foot", view: "front", phase: "bottom" },
  ],
  safety: "Something to hold within reach.",
  forbiddenBy: [],
  leadsTo: ["line-hops"],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "single",
        support: "fingertips",
        direction: "back",
        reach: 29,
        surface: "firm",
      },
      dose: dose("balance", { policy: "double-progression", hold: from(3), reps: from(6, 10) }),
      turns: [reaches(59)],
      position: "standing",
      kit: [],
      phase: "compound",
      arcs: { knee: [0, 50], hip: [0, 60] },
    },
    [
      { id: "reach-back-held", name: "Back, fingertips" },
      {
        id: "reach-back",
        name: "Back, free",
        turn: ["support", "none"],
        turns: [reaches(62)],
      },
      { id: "reach-back-across", name: "Back and across", turn: ["direction", "back-across"] },
      {
        id: "reach-across",
        name: "Across, in front",
        turn: ["direction", "across"],
        turns: [reaches(50)],
      },
      {
        id: "reach-outward",
        name: "Outward",
        turn: ["direction", "outward"],
        turns: [reaches(62)],
      },
      { id: "reach-forward", name: "Forward", turn: ["direction", "forward"] },
      { id: "reach-soft", name: "Forward, on a soft mat", turn: ["surface", "soft"], kit: ["soft-mat"] },
    ],
  ),
  source: commonPractice,
};

export const walkingBalance: Exercise = {
  id: "line-walk",
  name: "Walking a line",
  family: "line-walk",
  lane: "balance",
  muscles: ["gluteus-medius", "foot-intrinsics"],
  regions: ["hip", "knee", "ankle"],
  loads: loads("low", "low", "low"),
  sides: "both-together",
  effort: "light",
  feltIn: "feet, calves and sides of the hips",
  cues: ["Look ahead, not at the feet", "Heel to toe, without hurry"],
  faults: [{ code: "steps-off", name: "Steps off the line", view: "front", phase: "throughout" }, trunkLeans],
  safety: "Along a wall or kitchen top.",
  forbiddenBy: [],
  leadsTo: ["single-leg-stance"],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "both",
        support: "one-hand",
        "stance-width": "wide",
        direction: "forward",
        attention: "undivided",
      },
      dose: dose("circuit", { sets: 3, reps: undefined, minutes: 0.5, restSeconds: 20, daysPerWeek: 6 }),
      turns: [ladder("minutes", 0.5, 1, 1.5)],
      position: "standing",
      kit: ["wall"],
      phase: "isolated",
      arcs: { knee: [0, 50], hip: [-10, 30] },
    },
    [
      { id: "line-walk-held", name: "Feet apart, one hand at the wall" },
      { id: "line-walk-narrow", name: "Heel to toe, one hand at the wall", turn: ["stance-width", "narrow"] },
      { id: "line-walk-free", name: "Heel to toe, free", turn: ["support", "none"] },
      {
        id: "line-walk-turning",
        name: "Heel to toe, turning the head or the way",
        turn: ["direction", "rotational"],
        phase: "compound",
      },
      {
        id: "line-walk-task",
        name: "Heel to toe, turning, carrying a cup",
        turn: ["attention", "second-task"],
      },
    ],
  ),
  source: commonPractice,
};

export const balanceExercises = [singleLegStance, threeWayReach, walkingBalance];
