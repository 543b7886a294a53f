import type { Exercise } from "~/core/exercise/exercise";
import { commonPractice, recalled } from "../source";
import { dose, from, ladder, load, loads, outOfSitBack, progression } from "./compose";
import { heelsLift, kneeIn, trunkLeans } from "./faults";

export const forwardLunge: Exercise = {
  id: "forward-lunge",
  name: "Forward lunge",
  family: "lunge",
  lane: "knee-extensors",
  alsoTrains: ["hip-extensors", "balance"],
  muscles: ["quadriceps", "gluteus-maximus", "gluteus-medius"],
  regions: ["knee", "hip"],
  loads: loads("high", "moderate", "low"),
  sides: "each-side",
  effort: "moderate",
  feltIn: "thigh and buttock of the front leg",
  notFeltIn: "behind the kneecap",
  cues: ["Long step, slow down", "Front heel stays heavy", "Push back to standing"],
  faults: [kneeIn, trunkLeans, { ...heelsLift, name: "Front heel lifts" }],
  forbiddenBy: [],
  activation: [
    {
      variantId: "forward-lunge-free",
      muscle: "gluteus-medius",
      meanPercent: 42,
      sdPercent: 21,
      source: recalled("Distefano 2009"),
      leftOut: "twelve exercises of healthy, active adults; no bridges, no loads, no patients",
    },
    {
      variantId: "forward-lunge-free",
      muscle: "gluteus-maximus",
      meanPercent: 44,
      sdPercent: 23,
      source: recalled("Distefano 2009"),
      leftOut: "twelve exercises of healthy, active adults; no bridges, no loads, no patients",
    },
  ],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "staggered",
        support: "one-hand",
        direction: "back",
        "stance-length": "long",
        "knee-travel": "limited",
        "sit-back-at": "none",
        "load-place": "none",
      },
      dose: dose("strength", { sets: 2, reps: from(8, 10) }),
      turns: [outOfSitBack("30", "45", "60"), ladder("reps", "8-10", "10-12")],
      position: "standing",
      kit: [],
      phase: "compound",
      arcs: { knee: [0, 90], hip: [-10, 85] },
    },
    [
      { id: "backward-lunge-held", name: "Stepping back, one hand held" },
      { id: "backward-lunge", name: "Stepping back, free", turn: ["support", "none"] },
      { id: "side-lunge", name: "Stepping to the side", turn: ["direction", "across"] },
      { id: "forward-lunge-free", name: "Stepping forward, long", turn: ["direction", "forward"] },
      { id: "forward-lunge-short", name: "Stepping forward, shorter", turn: ["stance-length", "short"] },
      {
        id: "forward-lunge-loaded",
        name: "Stepping forward, dumbbells",
        turn: ["load-place", "hands"],
        kit: ["dumbbells"],
        dose: dose("strength", { loadKg: 6 }),
        turns: [outOfSitBack("30", "45", "60"), load("dumbbells", 40, 2)],
      },
    ],
  ),
  source: commonPractice,
};
