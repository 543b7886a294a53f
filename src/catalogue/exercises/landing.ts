import type { Exercise } from "~/core/exercise/exercise";
import { commonPractice } from "../source";
import { dose, from, ladder, loads, progression } from "./compose";
import { kneeIn, loud, trunkLeans } from "./faults";

const springDose = dose("plyometric");
const kneesIn = { ...kneeIn, name: "Knees drift inward" };
const paused = {
  code: "pauses",
  name: "Pauses on the ground: then it is two movements",
  view: "side",
  phase: "bottom",
} as const;

export const rebounds: Exercise = {
  id: "rebounds",
  name: "Small rebounds and hops",
  family: "rebound",
  lane: "landing",
  alsoTrains: ["calf"],
  muscles: ["gastrocnemius", "soleus"],
  regions: ["ankle", "lower-leg", "knee"],
  loads: loads("low", "low", "low"),
  sides: "both-together",
  effort: "light",
  feltIn: "calves; quiet, quick contacts",
  cues: ["Short contact, little knee bend", "Land where you took off"],
  faults: [loud, kneesIn],
  caution: "Contacts, not repetitions, are counted. Two days free between spring days.",
  forbiddenBy: ["impact"],
  leadsTo: ["line-hops", "jump-squat"],
  variants: progression(
    {
      settings: { contraction: "plyometric", laterality: "both", support: "two-hands", direction: "forward" },
      dose: springDose,
      turns: [ladder("contacts", "6-8", "8-10", "10-12")],
      position: "standing",
      kit: [],
      phase: "spring",
      arcs: { knee: [10, 30], hip: [0, 20] },
    },
    [
      { id: "rebounds-held", name: "Two-leg rebounds, hands on a table" },
      { id: "rebounds-two-legs", name: "Two-leg rebounds", turn: ["support", "none"] },
      {
        id: "hops-one-leg",
        name: "Single-leg hops along a line",
        turn: ["laterality", "single"],
        turns: [ladder("contacts", "6-8", "8-10")],
      },
      {
        id: "hops-one-leg-turning",
        name: "Single-leg hops round a square",
        turn: ["direction", "rotational"],
      },
    ],
  ),
  source: commonPractice,
};

export const jumpSquat: Exercise = {
  id: "jump-squat",
  name: "Jump squat",
  family: "jump-squat",
  lane: "landing",
  alsoTrains: ["knee-extensors", "hip-extensors"],
  muscles: ["quadriceps", "gluteus-maximus", "gastrocnemius"],
  regions: ["knee", "hip", "ankle"],
  loads: loads("high", "moderate", "moderate"),
  sides: "both-together",
  effort: "hard",
  feltIn: "thighs and buttocks",
  cues: ["Land like a cat, hips back", "Knees over the feet before you go again"],
  faults: [kneesIn, loud, { code: "stiff", name: "Lands on straight knees", view: "side", phase: "bottom" }],
  forbiddenBy: ["impact"],
  leadsTo: ["step-off-and-stick"],
  variants: progression(
    {
      settings: {
        contraction: "plyometric",
        laterality: "both",
        assistance: "light",
        "knee-angle": 45,
        direction: "across",
      },
      dose: dose("plyometric", { contacts: from(4, 6) }),
      turns: [ladder("knee-angle", 45, 60, 75), ladder("contacts", "4-6", "6-8")],
      position: "standing",
      kit: ["chair"],
      phase: "spring",
      arcs: { knee: [0, 45], hip: [0, 60] },
    },
    [
      { id: "jump-squat-held", name: "On the spot, hands help on chair backs" },
      { id: "jump-squat-free", name: "On the spot", turn: ["assistance", "none"], kit: [] },
      { id: "jump-squat-forward", name: "Forward", turn: ["direction", "forward"] },
      { id: "jump-squat-quarter-turn", name: "With a quarter turn", turn: ["direction", "rotational"] },
    ],
  ),
  source: commonPractice,
};

export const stepOffAndStick: Exercise = {
  id: "step-off-and-stick",
  name: "Step off and stick",
  family: "landing",
  lane: "landing",
  alsoTrains: ["balance", "knee-extensors"],
  muscles: ["quadriceps", "gluteus-maximus", "gluteus-medius"],
  regions: ["knee", "hip", "ankle"],
  loads: loads("high", "moderate", "low"),
  sides: "both-together",
  effort: "moderate",
  feltIn: "thighs and buttocks",
  notFeltIn: "under the kneecap",
  cues: ["Step off, do not jump", "Quiet, hips back, hold two seconds"],
  faults: [
    kneesIn,
    loud,
    trunkLeans,
    { code: "extra-step", name: "Needs a step to stay up", view: "front", phase: "bottom" },
  ],
  safety: "Clear floor; a step or box that cannot slide.",
  forbiddenBy: ["impact"],
  leadsTo: ["drop-jump"],
  variants: progression(
    {
      settings: { contraction: "plyometric", laterality: "both", "drop-height": 15, direction: "forward" },
      dose: dose("plyometric", { contacts: from(5, 8), restSeconds: 60 }),
      turns: [ladder("drop-height", 10, 15, 20, 30, 40)],
      position: "standing",
      kit: ["step"],
      phase: "spring",
      arcs: { knee: [5, 70], hip: [0, 70] },
    },
    [
      { id: "step-off-both", name: "Onto two legs" },
      {
        id: "step-off-staggered",
        name: "Onto two legs, most weight on one",
        turn: ["laterality", "staggered"],
        turns: [ladder("drop-height", 10, 15, 20, 30)],
      },
      {
        id: "step-off-single",
        name: "Onto one leg",
        turn: ["laterality", "single"],
        turns: [ladder("drop-height", 10, 15, 20, 30)],
      },
      { id: "step-off-turning", name: "Onto one leg with a quarter turn", turn: ["direction", "rotational"] },
    ],
  ),
  source: commonPractice,
};

export const dropJump: Exercise = {
  id: "drop-jump",
  name: "Drop jump",
  family: "drop-jump",
  lane: "landing",
  muscles: ["quadriceps", "gastrocnemius", "gluteus-maximus"],
  regions: ["knee", "ankle"],
  loads: loads("high", "moderate", "moderate"),
  sides: "both-together",
  effort: "hard",
  feltIn: "springy, calves and thighs",
  cues: ["Land and go in one", "The floor is hot"],
  faults: [paused, kneesIn, loud],
  caution: "A pause makes it two movements, and it does not count.",
  forbiddenBy: ["impact"],
  variants: progression(
    {
      settings: { contraction: "plyometric", laterality: "both", "drop-height": 20, direction: "forward" },
      dose: dose("plyometric", { contacts: from(4, 6) }),
      turns: [ladder("drop-height", 10, 20, 30, 40), ladder("contacts", "4-6", "6-8")],
      position: "standing",
      kit: ["step"],
      phase: "spring",
      arcs: { knee: [5, 60], hip: [0, 60] },
    },
    [
      { id: "drop-jump-both", name: "Two legs" },
      {
        id: "drop-jump-single",
        name: "One leg",
        turn: ["laterality", "single"],
        turns: [ladder("drop-height", 10, 20, 30)],
      },
      {
        id: "drop-jump-turning",
        name: "One leg, landing a quarter turn on",
        turn: ["direction", "rotational"],
      },
    ],
  ),
  source: commonPractice,
};

export const landingExercises = [rebounds, jumpSquat, stepOffAndStick, dropJump];
