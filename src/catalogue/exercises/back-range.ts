import type { Exercise } from "~/core/exercise/exercise";
import { commonPractice } from "../source";
import { dose, from, ladder, loads, progression } from "./compose";
import { backArches } from "./faults";

const easyReps = dose("activation", { policy: "fixed", reps: from(10, 15), hold: undefined });

export const lumbarRotation: Exercise = {
  id: "lumbar-rotation",
  name: "Knees side to side",
  family: "back-range",
  lane: "mobility",
  alsoTrains: ["trunk"],
  muscles: ["obliques", "back-extensors"],
  regions: ["back", "hip"],
  loads: loads("low", "low", "low"),
  sides: "both-together",
  effort: "light",
  feltIn: "an easy turn in the low back",
  notFeltIn: "anything below the knee",
  cues: [
    "Small first, larger as it frees",
    "Shoulders stay down",
    "Before any bending backward in the morning",
  ],
  faults: [{ code: "forced", name: "Pushes into the end", view: "front", phase: "bottom" }],
  forbiddenBy: [],
  leadsTo: ["belly-up-extension"],
  variants: progression(
    {
      settings: { contraction: "concentric-eccentric", laterality: "both", range: "part", raised: "flat" },
      dose: easyReps,
      turns: [],
      position: "supine",
      kit: [],
      phase: "range",
      arcs: { knee: [80, 90], hip: [45, 60] },
    },
    [
      { id: "lumbar-rotation-small", name: "Feet down, small" },
      { id: "lumbar-rotation-large", name: "Feet down, large", turn: ["range", "full"] },
      {
        id: "lumbar-rotation-lifted",
        name: "Feet lifted, large",
        turn: ["raised", "both-feet"],
        arcs: { knee: [80, 90], hip: [80, 90] },
      },
    ],
  ),
  source: commonPractice,
};

export const bellyUpExtension: Exercise = {
  id: "belly-up-extension",
  name: "Floor extension, hips relaxed",
  family: "back-bend-range",
  lane: "mobility",
  muscles: ["back-extensors"],
  regions: ["back"],
  loads: loads("low", "low", "moderate"),
  sides: "both-together",
  effort: "light",
  feltIn: "low back, gone as soon as you lie down again",
  notFeltIn: "the buttock or the leg",
  cues: ["Arms press, back and buttocks stay loose", "Hips stay down", "Stop at the first block"],
  faults: [{ code: "buttocks-tight", name: "Tightens the buttocks", view: "side", phase: "up" }],
  caution: "Only after the nerve and stress-fracture screen; any leg sign ends it.",
  forbiddenBy: ["end-range-lumbar-extension"],
  variants: progression(
    {
      settings: { contraction: "concentric-eccentric", laterality: "both", lever: "short", range: "part" },
      dose: dose("activation", { policy: "fixed", reps: from(6, 10), hold: undefined }),
      turns: [],
      position: "prone",
      kit: [],
      phase: "range",
      arcs: { knee: [0, 5], hip: [-20, 0] },
    },
    [
      { id: "extension-forearms", name: "On the forearms" },
      { id: "extension-hands", name: "On the hands, half way", turn: ["lever", "long"] },
      { id: "extension-hands-full", name: "On the hands, arms straight", turn: ["range", "full"] },
    ],
  ),
  source: commonPractice,
};

export const posteriorHipStretch: Exercise = {
  id: "posterior-hip-stretch",
  name: "Leg-across stretch",
  family: "hip-back-length",
  lane: "mobility",
  muscles: ["hip-external-rotators", "gluteus-maximus"],
  regions: ["hip", "back"],
  loads: loads("low", "low", "low"),
  sides: "each-side",
  effort: "light",
  feltIn: "deep in the buttock",
  notFeltIn: "a pinch in the groin: then leave it out",
  cues: ["Draw the thigh, not the knee", "Keep the tailbone down"],
  faults: [{ ...backArches, code: "back-rounds", name: "Tailbone lifts", phase: "up" }],
  caution: "Optional, by screening. Stretching does not lengthen the joint capsule.",
  forbiddenBy: ["forced-hip-rotation"],
  variants: progression(
    {
      settings: { contraction: "isometric", laterality: "single", range: "part", assistance: "strong" },
      dose: dose("stretch"),
      turns: [],
      position: "supine",
      kit: [],
      phase: "range",
      arcs: { knee: [80, 100], hip: [60, 100] },
    },
    [
      { id: "leg-across-part", name: "Ankle on the other knee" },
      { id: "leg-across-full", name: "Ankle on the other knee, thigh drawn up", turn: ["range", "full"] },
      {
        id: "leg-across-own",
        name: "Drawn up by the lower leg alone",
        turn: ["assistance", "none"],
        dose: dose("activation", { policy: "fixed", reps: from(8), hold: from(5) }),
      },
    ],
  ),
  source: commonPractice,
};

export const stationaryCycling: Exercise = {
  id: "stationary-cycling",
  name: "Stationary cycling",
  family: "cycling",
  lane: "mobility",
  alsoTrains: ["knee-extensors"],
  muscles: ["quadriceps", "gluteus-maximus", "hamstrings"],
  regions: ["hip", "knee", "ankle"],
  loads: loads("low", "low", "low"),
  sides: "both-together",
  effort: "light",
  feltIn: "warm thighs, free joints",
  cues: ["Saddle so high that the knee nearly straightens", "Round, without pressing"],
  faults: [{ code: "rocks", name: "Pelvis rocks on the saddle", view: "back", phase: "throughout" }],
  caution: "Knee needs about 105° of bend for a full turn; a high saddle asks for less.",
  forbiddenBy: [],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "both",
        assistance: "strong",
        "hip-angle": 85,
      },
      dose: dose("circuit", { reps: undefined, minutes: 5, restSeconds: 0, daysPerWeek: 6 }),
      turns: [ladder("minutes", 5, 10, 15, 20)],
      position: "sitting",
      kit: ["bicycle"],
      phase: "range",
      arcs: { knee: [20, 105], hip: [40, 85] },
    },
    [
      { id: "cycling-good-leg", name: "High saddle, the good leg drives" },
      { id: "cycling-easy", name: "High saddle, both legs, no resistance", turn: ["assistance", "light"] },
      { id: "cycling-resisted", name: "High saddle, light resistance", turn: ["assistance", "none"] },
      {
        id: "cycling-low-saddle",
        name: "Usual saddle, light resistance",
        turn: ["hip-angle", 100],
        arcs: { knee: [25, 115], hip: [45, 100] },
      },
    ],
  ),
  source: commonPractice,
};

export const pelvicTilt: Exercise = {
  id: "pelvic-tilt",
  name: "Pelvic tilt",
  family: "back-range",
  lane: "trunk",
  alsoTrains: ["mobility"],
  muscles: ["abdominals", "back-extensors"],
  regions: ["back"],
  loads: loads("low", "low", "low"),
  sides: "both-together",
  effort: "light",
  feltIn: "belly and low back, lightly",
  cues: ["Tip the pelvis as if to pour from it, front and back", "Find the easy middle"],
  faults: [{ code: "pushes-legs", name: "Legs push instead", view: "side", phase: "up" }],
  forbiddenBy: [],
  leadsTo: ["front-plank"],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "both",
        range: "part",
        attention: "undivided",
      },
      dose: dose("activation", { policy: "hold", reps: from(8, 10), hold: from(3, 5) }),
      turns: [ladder("hold", "3-5", "5-10")],
      position: "supine",
      kit: [],
      phase: "range",
      arcs: { knee: [80, 90], hip: [40, 50] },
    },
    [
      { id: "pelvic-tilt-small", name: "Small, on the back" },
      { id: "pelvic-tilt-full", name: "Full, on the back", turn: ["range", "full"] },
      {
        id: "pelvic-tilt-arms",
        name: "Held while the arms move",
        turn: ["attention", "second-task"],
        phase: "isometric",
      },
    ],
  ),
  source: commonPractice,
};

/** Range-of-motion exercises of the back, cycling, and the first trunk control. */
export const backRangeExercises = [
  lumbarRotation,
  bellyUpExtension,
  posteriorHipStretch,
  stationaryCycling,
  pelvicTilt,
];
