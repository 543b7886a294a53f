import type { Exercise } from "~/core/exercise/exercise";
import { commonPractice } from "../source";
import { dose, from, ladder, loads, progression } from "./compose";
import { backSags, holdsBreath, momentum } from "./faults";
const plankDose = dose("endurance", { hold: from(15, 20) });

export const frontPlank: Exercise = {
  id: "front-plank",
  name: "Forearm plank",
  family: "front-plank",
  lane: "trunk",
  muscles: ["abdominals", "obliques"],
  regions: ["back"],
  loads: loads("low", "low", "moderate"),
  sides: "both-together",
  effort: "moderate",
  feltIn: "belly, not the low back",
  notFeltIn: "the low back or the shoulders",
  cues: ["Elbows under the shoulders", "Level pelvis, long neck"],
  breathing: "Keep breathing.",
  faults: [
    backSags,
    { code: "hips-high", name: "Hips too high", view: "side", phase: "throughout" },
    holdsBreath,
  ],
  forbiddenBy: [],
  leadsTo: ["side-plank"],
  variants: progression(
    {
      settings: { contraction: "isometric", laterality: "both", lever: "short", surface: "firm" },
      dose: plankDose,
      turns: [ladder("hold", "10-15", "15-20", "20-30")],
      position: "prone",
      kit: [],
      phase: "isometric",
      arcs: { knee: [0, 90], hip: [0, 10] },
    },
    [
      { id: "front-plank-knees", name: "Plank on the knees" },
      {
        id: "front-plank-feet",
        name: "Plank on the feet",
        turn: ["lever", "long"],
        turns: [ladder("hold", "10-15", "15-20", "20-30", "30-45")],
        arcs: { knee: [0, 5], hip: [0, 10] },
      },
      {
        id: "front-plank-ball",
        name: "Plank on the feet, forearms on a ball",
        turn: ["surface", "unstable"],
        kit: ["gym-ball"],
      },
      {
        id: "front-plank-one-leg",
        name: "Forearms on a ball, one leg lifted",
        turn: ["laterality", "single"],
        phase: "compound",
        dose: dose("endurance", { hold: from(10, 15) }),
        turns: [ladder("hold", "10-15", "15-20")],
      },
    ],
  ),
  source: commonPractice,
};

export const plankLegLift: Exercise = {
  id: "plank-leg-lift",
  name: "Plank with leg lifts",
  family: "front-plank",
  lane: "trunk",
  alsoTrains: ["hip-extensors"],
  muscles: ["abdominals", "gluteus-maximus"],
  regions: ["back", "hip"],
  loads: loads("low", "low", "moderate"),
  sides: "each-side",
  effort: "hard",
  feltIn: "belly and the buttock of the lifted leg",
  cues: ["Pelvis stays level as a tray", "Lift a hand's breadth, no more"],
  faults: [backSags, { code: "pelvis-tips", name: "Pelvis tips to one side", view: "back", phase: "up" }],
  forbiddenBy: [],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "staggered",
        lever: "short",
        attention: "undivided",
      },
      dose: dose("control", { reps: from(6, 10), hold: from(2) }),
      turns: [ladder("reps", "6-10", "8-12")],
      position: "prone",
      kit: [],
      phase: "compound",
      arcs: { knee: [0, 90], hip: [-10, 10] },
    },
    [
      { id: "plank-leg-lift-knees", name: "From the knees" },
      {
        id: "plank-leg-lift-feet",
        name: "From the feet",
        turn: ["lever", "long"],
        arcs: { knee: [0, 5], hip: [-10, 10] },
      },
      {
        id: "plank-leg-lift-reach",
        name: "From the feet, the other arm reaching",
        turn: ["attention", "second-task"],
      },
    ],
  ),
  source: commonPractice,
};

export const sidePlank: Exercise = {
  id: "side-plank",
  name: "Side plank",
  family: "side-plank",
  lane: "trunk",
  alsoTrains: ["hip-abductors"],
  muscles: ["obliques", "quadratus-lumborum", "gluteus-medius"],
  regions: ["back", "hip"],
  loads: loads("low", "low", "moderate"),
  sides: "each-side",
  effort: "moderate",
  feltIn: "side of the trunk and hip nearest the floor",
  notFeltIn: "the shoulder",
  cues: [
    "Elbow under the shoulder",
    "One line from ear to knee or ankle",
    "Lift the lower hip away from the floor",
  ],
  faults: [
    { code: "hip-sags", name: "Hip sags", view: "front", phase: "throughout" },
    { code: "rolls-forward", name: "Trunk rolls forward", view: "back", phase: "throughout" },
  ],
  forbiddenBy: [],
  variants: progression(
    {
      settings: { contraction: "isometric", laterality: "staggered", lever: "short", raised: "flat" },
      dose: dose("endurance", { hold: from(5, 15) }),
      turns: [ladder("hold", "5-15", "10-20", "20-30")],
      position: "side-lying",
      kit: [],
      phase: "isometric",
      arcs: { knee: [85, 90], hip: [0, 10] },
    },
    [
      { id: "side-plank-knees", name: "On the knees" },
      {
        id: "side-plank-feet",
        name: "On the feet, one ahead of the other",
        turn: ["lever", "long"],
        arcs: { knee: [0, 5], hip: [0, 5] },
        turns: [ladder("hold", "5-15", "10-20", "20-30", "30-45")],
      },
      {
        id: "side-plank-single",
        name: "On the feet, top leg lifted",
        turn: ["laterality", "single"],
        phase: "compound",
        dose: dose("endurance", { hold: from(5, 10) }),
        turns: [ladder("hold", "5-10", "10-20")],
      },
      {
        id: "side-plank-raised",
        name: "Top leg lifted, feet on a step",
        turn: ["raised", "both-feet"],
        kit: ["step"],
      },
    ],
  ),
  source: commonPractice,
};

export const sidePlankLift: Exercise = {
  id: "side-plank-lift",
  name: "Side plank with top-leg lifts",
  family: "side-plank",
  lane: "trunk",
  alsoTrains: ["hip-abductors"],
  muscles: ["obliques", "gluteus-medius"],
  regions: ["back", "hip"],
  loads: loads("low", "low", "moderate"),
  sides: "each-side",
  effort: "hard",
  feltIn: "side of the trunk and both hips",
  cues: ["Eight clean ones are enough", "Top leg slightly behind"],
  faults: [{ code: "hip-sags", name: "Hip sags", view: "front", phase: "up" }, momentum],
  forbiddenBy: [],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "single",
        lever: "short",
        perturbation: "none",
      },
      dose: dose("form-failure", { reps: from(4, 8) }),
      turns: [ladder("reps", "4-8", "6-12")],
      position: "side-lying",
      kit: [],
      phase: "compound",
      arcs: { knee: [0, 90], hip: [-5, 5] },
    },
    [
      { id: "side-plank-lift-knees", name: "From the knees" },
      {
        id: "side-plank-lift-feet",
        name: "From the feet",
        turn: ["lever", "long"],
        arcs: { knee: [0, 5], hip: [-5, 5] },
      },
      {
        id: "side-plank-lift-band",
        name: "From the feet, band above the knees",
        turn: ["perturbation", "band-thigh"],
        kit: ["band"],
      },
    ],
  ),
  source: commonPractice,
};

/** Planks, in front and on the side. */
export const plankExercises = [frontPlank, plankLegLift, sidePlank, sidePlankLift];
