import type { Exercise } from "~/core/exercise/exercise";
import { commonPractice } from "../source";
import { dose, from, ladder, load, loads, progression } from "./compose";
import { backArches, holdsBreath, momentum } from "./faults";

const held = (bottom: number, top: number) =>
  dose("isometric-clinic", { policy: "hold", effort: undefined, hold: from(bottom, top), sets: 4 });

export const proneLegLift: Exercise = {
  id: "prone-leg-lift",
  name: "Leg lift lying face down",
  family: "prone-leg-lift",
  lane: "hip-extensors",
  muscles: ["gluteus-maximus", "hamstrings"],
  regions: ["hip", "back"],
  loads: loads("low", "low", "low"),
  sides: "each-side",
  effort: "light",
  feltIn: "buttock",
  notFeltIn: "the low back",
  cues: ["Squeeze the buttock, then lift", "Hip bones stay on the floor"],
  faults: [backArches, momentum],
  forbiddenBy: ["forced-hip-extension"],
  leadsTo: ["bridge"],
  variants: progression(
    {
      settings: { contraction: "isometric", laterality: "single", lever: "short", "load-place": "none" },
      dose: held(5, 10),
      turns: [ladder("hold", "5-10", "10-15")],
      position: "prone",
      kit: [],
      phase: "isometric",
      arcs: { knee: [85, 95], hip: [-5, 0] },
    },
    [
      { id: "buttock-squeeze", name: "Buttock squeezed, leg stays down" },
      {
        id: "prone-lift-bent",
        name: "Knee bent, lifted",
        turn: ["contraction", "concentric-eccentric"],
        phase: "isolated",
        dose: dose("control", { reps: from(8, 12), hold: from(3) }),
        turns: [ladder("reps", "8-12", "10-20")],
        arcs: { knee: [85, 95], hip: [-15, 0] },
      },
      {
        id: "prone-lift-straight",
        name: "Leg straight, lifted",
        turn: ["lever", "long"],
        arcs: { knee: [0, 5], hip: [-15, 0] },
      },
      {
        id: "prone-lift-weight",
        name: "Leg straight, weight at the ankle",
        turn: ["load-place", "ankle"],
        kit: ["ankle-weight"],
        dose: dose("strength", { loadKg: 0.5 }),
        turns: [load("ankle-weight", 5, 0.5, 10)],
      },
    ],
  ),
  source: commonPractice,
};

export const glutealSet: Exercise = {
  id: "gluteal-set",
  name: "Buttock tightening",
  family: "gluteal-set",
  lane: "hip-extensors",
  muscles: ["gluteus-maximus"],
  regions: ["hip", "back"],
  loads: loads("low", "low", "low"),
  sides: "both-together",
  effort: "light",
  feltIn: "buttocks, both alike",
  notFeltIn: "the low back or the back of the thigh",
  cues: ["Tighten without lifting anything", "Let go as slowly as you built up"],
  faults: [{ ...backArches, phase: "throughout" }, holdsBreath],
  forbiddenBy: [],
  leadsTo: ["bridge", "prone-leg-lift"],
  variants: progression(
    {
      settings: { contraction: "isometric", laterality: "both", lever: "short", "load-place": "none" },
      dose: dose("isometric-clinic", { policy: "hold", effort: undefined, hold: from(5, 10) }),
      turns: [ladder("hold", "5-10", "10-15")],
      position: "supine",
      kit: ["pillow"],
      phase: "isometric",
      arcs: { knee: [20, 40], hip: [10, 20] },
    },
    [
      { id: "gluteal-set-both", name: "Both, knees over a pillow" },
      {
        id: "gluteal-set-heel",
        name: "Both, heels pressing down",
        turn: ["lever", "long"],
        arcs: { knee: [0, 10], hip: [0, 10] },
      },
      { id: "gluteal-set-single", name: "One heel pressing down", turn: ["laterality", "single"] },
    ],
  ),
  source: commonPractice,
};

export const glutealExercises = [proneLegLift, glutealSet];
