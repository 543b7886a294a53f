import type { Exercise } from "~/core/exercise/exercise";
import { commonPractice } from "../source";
import { dose, ladder, loads, progression } from "./compose";
import { kneeIn, limp, trunkLeans } from "./faults";
import { forwardLunge } from "./lunge";

const speeds = ladder("speed", 60, 70, 80, 90, 100);

/** What every run on its own feet is. */
const plainRun = {
  muscles: ["gastrocnemius", "hamstrings", "gluteus-maximus", "quadriceps"],
  regions: ["hip", "knee", "ankle", "groin", "thigh"],
  loads: loads("moderate", "moderate", "low"),
  sides: "both-together",
  effort: "moderate",
} satisfies Partial<Exercise>;
const straightAhead = {
  contraction: "plyometric",
  laterality: "both",
  direction: "forward",
  speed: 60,
  surface: "firm",
};

export const runningSteps: Exercise = {
  id: "running",
  name: "Running",
  family: "running",
  lane: "running",
  ...plainRun,
  feltIn: "an easy rhythm, nothing at the site",
  cues: ["Short quick steps", "Stop when the rhythm changes"],
  faults: [limp],
  caution: "One variable a week: distance, then speed, then change of direction.",
  forbiddenBy: ["impact"],
  leadsTo: ["steady-run", "strides", "cutting-drills"],
  variants: progression(
    {
      settings: straightAhead,
      dose: dose("running"),
      turns: [ladder("minutes", 1, 2, 3, 4, 5), speeds],
      position: "standing",
      kit: [],
      phase: "running",
      arcs: { knee: [10, 90], hip: [-15, 50] },
    },
    [
      { id: "running-straight", name: "Straight line, walk–run intervals" },
      {
        id: "running-turning",
        name: "Runs with change of direction",
        turn: ["direction", "rotational"],
        dose: dose("running", { minutes: 2 }),
        turns: [speeds],
      },
      {
        id: "running-uneven",
        name: "Runs with change of direction on grass or trail",
        turn: ["surface", "soft"],
      },
    ],
  ),
  source: commonPractice,
};

/** After the intervals: running without walking, to twenty minutes, then faster. */
export const steadyRun: Exercise = {
  id: "steady-run",
  name: "Steady run",
  family: "running",
  lane: "running",
  ...plainRun,
  feltIn: "an easy rhythm to the last minute, nothing at the site",
  cues: ["A pace at which you could talk", "Stop when the rhythm changes"],
  faults: [limp],
  caution: "Twenty minutes without symptoms come before strides.",
  forbiddenBy: ["impact"],
  leadsTo: ["strides"],
  variants: progression(
    {
      settings: straightAhead,
      dose: dose("running", { sets: 1, minutes: 8, restSeconds: 0 }),
      turns: [ladder("minutes", 8, 12, 16, 20), speeds],
      position: "standing",
      kit: [],
      phase: "running",
      arcs: { knee: [10, 90], hip: [-15, 50] },
    },
    [
      { id: "steady-run-firm", name: "Without walking, on firm ground" },
      {
        id: "steady-run-uneven",
        name: "Without walking, on grass or trail",
        turn: ["surface", "soft"],
        turns: [ladder("minutes", 8, 12, 16, 20, 25, 30), speeds],
      },
    ],
  ),
  source: commonPractice,
};

export const walking: Exercise = {
  id: "brisk-walk",
  name: "Brisk walk",
  family: "walking",
  lane: "running",
  alsoTrains: ["calf", "mobility"],
  muscles: ["gastrocnemius", "soleus", "gluteus-medius"],
  regions: ["hip", "knee", "ankle"],
  loads: loads("low", "low", "low"),
  sides: "both-together",
  effort: "light",
  feltIn: "warm legs, even steps",
  cues: ["Even steps, roll over the whole foot", "Turn back while it is still easy"],
  faults: [limp],
  forbiddenBy: [],
  leadsTo: ["running"],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "both",
        support: "two-hands",
        surface: "firm",
        speed: 30,
      },
      dose: dose("running", { sets: 1, minutes: 5, restSeconds: 0, daysPerWeek: 6 }),
      turns: [ladder("minutes", 5, 10, 15, 20, 30)],
      position: "standing",
      kit: [],
      phase: "compound",
      arcs: { knee: [0, 65], hip: [-15, 35] },
    },
    [
      { id: "walk-aided", name: "With sticks or crutches, even steps" },
      { id: "walk-one-stick", name: "With one stick in the other hand", turn: ["support", "one-hand"] },
      {
        id: "walk-free",
        name: "Free, on even ground",
        turn: ["support", "none"],
        turns: [ladder("minutes", 5, 10, 15, 20, 30, 45), ladder("speed", 30, 40, 50)],
      },
      { id: "walk-uneven", name: "Free, over grass and slopes", turn: ["surface", "soft"] },
    ],
  ),
  source: commonPractice,
};

export const strides: Exercise = {
  id: "strides",
  name: "Strides and sprints",
  family: "sprint",
  lane: "running",
  alsoTrains: ["hamstrings"],
  muscles: ["hamstrings", "gluteus-maximus", "gastrocnemius"],
  regions: ["thigh", "hip", "knee", "groin"],
  loads: loads("moderate", "high", "moderate"),
  sides: "both-together",
  effort: "hard",
  feltIn: "speed without effort in the neck and hands",
  notFeltIn: "a pull at the site",
  cues: ["Build up over the first third", "Tall, knees up, let the last third run out"],
  faults: [limp, { code: "overstrides", name: "Foot lands far ahead", view: "side", phase: "bottom" }],
  caution: "Not after lengthening hamstring work, nor the day after it.",
  forbiddenBy: ["impact"],
  leadsTo: ["cutting-drills"],
  variants: progression(
    {
      settings: {
        contraction: "plyometric",
        laterality: "both",
        direction: "forward",
        speed: 60,
        attention: "undivided",
      },
      dose: dose("running", { sets: 6, minutes: 0.3, restSeconds: 120, daysPerWeek: 2 }),
      turns: [speeds],
      position: "standing",
      kit: [],
      phase: "running",
      arcs: { knee: [10, 120], hip: [-20, 80] },
    },
    [
      { id: "strides-straight", name: "Straight, built up" },
      { id: "strides-curve", name: "Round a curve", turn: ["direction", "rotational"] },
      {
        id: "strides-signal",
        name: "Round a curve, starting on a signal",
        turn: ["attention", "second-task"],
      },
    ],
  ),
  source: commonPractice,
};

export const cuttingDrills: Exercise = {
  id: "cutting-drills",
  name: "Cutting and pivoting drills",
  family: "agility",
  lane: "running",
  alsoTrains: ["landing", "balance"],
  muscles: ["quadriceps", "gluteus-medius", "adductors"],
  regions: ["knee", "hip", "groin", "ankle"],
  loads: loads("high", "high", "moderate"),
  sides: "both-together",
  effort: "hard",
  feltIn: "legs under you, quick feet",
  cues: ["Low hips before the turn", "Plant under the body, not beside it"],
  faults: [kneeIn, trunkLeans],
  caution: "Only on ground that holds the foot as usual; stop when tired.",
  forbiddenBy: ["impact", "pivoting"],
  variants: progression(
    {
      settings: {
        contraction: "plyometric",
        laterality: "both",
        direction: "across",
        speed: 60,
        attention: "undivided",
      },
      dose: dose("running", { sets: 5, minutes: 0.5, restSeconds: 90, daysPerWeek: 2 }),
      turns: [speeds],
      position: "standing",
      kit: [],
      phase: "running",
      arcs: { knee: [10, 90], hip: [-10, 70] },
    },
    [
      { id: "side-shuffle", name: "Side shuffles between two marks" },
      {
        id: "zigzag",
        name: "Zigzag forward",
        turn: ["direction", "forward"],
      },
      { id: "pivot-runs", name: "Stops, pivots and starts", turn: ["direction", "rotational"] },
      {
        id: "pivot-runs-signal",
        name: "Stops, pivots and starts on a signal",
        turn: ["attention", "second-task"],
      },
    ],
  ),
  source: commonPractice,
};

/** Walking, running, sprinting, agility, and the lunge that leads there. */
export const runningExercises = [walking, runningSteps, steadyRun, strides, cuttingDrills, forwardLunge];
