import type { Exercise } from "~/core/exercise/exercise";
import { commonPractice, recalled } from "../source";
import { dose, from, ladder, load, loads, progression } from "./compose";
import { archCollapses, hipHike, kneeIn, pelvisDrops, pelvisTurns, trunkLeans } from "./faults";

const singleLegFaults = [kneeIn, pelvisDrops, hipHike, trunkLeans, pelvisTurns, archCollapses];
const ayotte = (meanPercent: number, sdPercent: number) => ({
  muscle: "gluteus-maximus" as const,
  meanPercent,
  sdPercent,
  source: recalled("Ayotte 2007"),
  leftOut: "five single-leg weight-bearing exercises of healthy adults; no load, no patients",
});
const distefano = (muscle: "gluteus-medius" | "gluteus-maximus", meanPercent: number, sdPercent: number) => ({
  muscle,
  meanPercent,
  sdPercent,
  source: recalled("Distefano 2009"),
  leftOut: "twelve exercises of healthy, active adults; no bridges, no loads, no patients",
});

export const staggeredChairStand: Exercise = {
  id: "staggered-chair-stand",
  name: "Rise from a chair, one foot ahead",
  family: "single-leg-squat",
  lane: "knee-extensors",
  alsoTrains: ["hip-extensors", "balance"],
  muscles: ["quadriceps", "gluteus-maximus"],
  regions: ["knee", "hip"],
  loads: loads("moderate", "moderate", "low"),
  sides: "each-side",
  effort: "moderate",
  feltIn: "thigh and buttock of the rear leg",
  cues: ["The foot ahead only touches", "Stand up over the rear foot"],
  faults: [kneeIn, { code: "front-pushes", name: "Front foot pushes", view: "side", phase: "up" }],
  safety: "Chair against the wall, something to hold within reach.",
  forbiddenBy: [],
  leadsTo: ["single-leg-squat"],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "staggered",
        support: "one-hand",
        "box-height": 50,
      },
      dose: dose("strength", { sets: 2, reps: from(6, 10), restSeconds: 60 }),
      turns: [ladder("box-height", 60, 55, 50, 45)],
      position: "standing",
      kit: ["chair"],
      phase: "compound",
      arcs: { knee: [0, 85], hip: [0, 90] },
    },
    [
      { id: "staggered-chair-stand-held", name: "One hand held" },
      { id: "staggered-chair-stand-free", name: "Arms crossed", turn: ["support", "none"] },
      {
        id: "single-leg-chair-stand",
        name: "On one leg",
        turn: ["laterality", "single"],
        turns: [ladder("box-height", 60, 55, 50, 45)],
      },
    ],
  ),
  source: commonPractice,
};

export const wallBallSquat: Exercise = {
  id: "wall-ball-squat",
  name: "Single-leg squat beside a wall, ball between",
  family: "single-leg-squat",
  lane: "hip-abductors",
  alsoTrains: ["knee-extensors"],
  muscles: ["gluteus-medius", "quadriceps"],
  regions: ["hip", "knee"],
  loads: loads("moderate", "moderate", "low"),
  sides: "each-side",
  effort: "moderate",
  feltIn: "side of the hip of the standing leg",
  cues: ["Press the ball into the wall with the free side", "Knee over the second toe"],
  faults: singleLegFaults,
  forbiddenBy: [],
  leadsTo: ["single-leg-squat"],
  variants: progression(
    {
      settings: {
        contraction: "isometric",
        laterality: "single",
        "knee-angle": 30,
        "knee-travel": "limited",
      },
      dose: dose("isometric-clinic", { policy: "hold", effort: undefined, hold: from(10, 15) }),
      turns: [ladder("knee-angle", 20, 30, 45), ladder("hold", "10-15", "15-20")],
      position: "standing",
      kit: ["wall", "ball"],
      phase: "isometric",
      arcs: { knee: [0, 30], hip: [0, 40] },
    },
    [
      { id: "wall-ball-hold", name: "Pressed and held" },
      {
        id: "wall-ball-squat-sit-back",
        name: "Small squats, sitting back",
        turn: ["contraction", "concentric-eccentric"],
        phase: "compound",
        dose: dose("control", { reps: from(8, 12), hold: undefined }),
        turns: [ladder("knee-angle", 30, 45, 60)],
      },
      {
        id: "wall-ball-squat-free",
        name: "Small squats, knee free to travel",
        turn: ["knee-travel", "free"],
      },
    ],
  ),
  source: commonPractice,
};

export const singleLegSquat: Exercise = {
  id: "single-leg-squat",
  name: "Single-leg squat to a box",
  family: "single-leg-squat",
  lane: "knee-extensors",
  alsoTrains: ["hip-abductors", "hip-extensors", "balance"],
  muscles: ["quadriceps", "gluteus-maximus", "gluteus-medius"],
  regions: ["knee", "hip"],
  loads: loads("high", "moderate", "low"),
  sides: "each-side",
  effort: "hard",
  feltIn: "thigh and buttock of the standing leg",
  notFeltIn: "behind the kneecap",
  cues: [
    "Touch the box, do not sit on it",
    "Belt level, knee over the second toe",
    "Sore kneecap: bend to just before it, hinge for the rest",
  ],
  faults: singleLegFaults,
  safety: "Box against a wall; something to hold within reach.",
  forbiddenBy: [],
  activation: [distefano("gluteus-medius", 64, 24), distefano("gluteus-maximus", 59, 27), ayotte(57, 44)],
  leadsTo: ["touch-down"],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "single",
        support: "two-hands",
        "box-height": 55,
        "knee-travel": "limited",
        "free-leg": "ahead",
        perturbation: "none",
        "load-place": "none",
      },
      dose: dose("strength", { sets: 2, reps: from(6, 8) }),
      turns: [ladder("box-height", 65, 60, 55, 50, 45)],
      position: "standing",
      kit: ["chair"],
      phase: "compound",
      arcs: { knee: [0, 75], hip: [0, 85] },
    },
    [
      { id: "single-leg-squat-two-hands", name: "Sitting back, hands on a table" },
      {
        id: "single-leg-squat-fingertips",
        name: "Sitting back, fingertips",
        turn: ["support", "fingertips"],
      },
      { id: "single-leg-squat-free", name: "Sitting back, free", turn: ["support", "none"] },
      {
        id: "single-leg-squat-plain",
        name: "Free, knee free to travel",
        turn: ["knee-travel", "free"],
        dose: dose("strength", { reps: from(6, 10) }),
        turns: [ladder("box-height", 65, 60, 55, 50, 45, 40)],
        arcs: { knee: [0, 90], hip: [0, 90] },
      },
      {
        id: "single-leg-squat-band",
        name: "Band pulling the knee inward",
        turn: ["perturbation", "band-thigh"],
        kit: ["chair", "band"],
      },
      {
        id: "single-leg-squat-loaded",
        name: "Band pulling inward, weight at the chest",
        turn: ["load-place", "goblet"],
        kit: ["chair", "band", "dumbbells"],
        dose: dose("strength-hypertrophy", { loadKg: 4 }),
        turns: [ladder("box-height", 65, 60, 55, 50, 45, 40), load("dumbbells", 40, 2)],
      },
    ],
  ),
  source: commonPractice,
};

export const singleLegExercises = [staggeredChairStand, wallBallSquat, singleLegSquat];
