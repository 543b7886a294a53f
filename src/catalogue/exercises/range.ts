import type { Exercise } from "~/core/exercise/exercise";
import { commonPractice } from "../source";
import { dose, from, ladder, loads, progression } from "./compose";

const easyReps = dose("activation", { policy: "fixed", reps: from(10, 15), hold: undefined });

export const hipRange: Exercise = {
  id: "hip-active-range",
  name: "Active hip range, four planes",
  family: "hip-range",
  lane: "mobility",
  muscles: ["hip-flexors", "gluteus-medius"],
  regions: ["hip", "groin"],
  loads: loads("low", "low", "low"),
  sides: "each-side",
  effort: "light",
  feltIn: "easy movement, no stretch at the site",
  notFeltIn: "a pinch in the front of the hip",
  cues: ["Move as far as it is easy", "Same speed out and back"],
  faults: [{ code: "trunk-follows", name: "Trunk moves with the leg", view: "front", phase: "throughout" }],
  caution: "Stay short of any pinch, and of any stretch at a fresh injury.",
  forbiddenBy: [],
  leadsTo: ["half-kneeling-hip-stretch"],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "single",
        support: "two-hands",
        range: "part",
      },
      dose: easyReps,
      turns: [],
      position: "standing",
      kit: [],
      phase: "range",
      arcs: { knee: [0, 60], hip: [-10, 60] },
    },
    [
      { id: "hip-active-range-held", name: "Standing, both hands held, small circles" },
      { id: "hip-active-range-standing", name: "Standing, one hand held", turn: ["support", "one-hand"] },
      {
        id: "hip-active-range-full",
        name: "Standing, one hand held, as far as it goes",
        turn: ["range", "full"],
        arcs: { knee: [0, 90], hip: [-20, 100] },
      },
    ],
  ),
  source: commonPractice,
};

export const heelSlide: Exercise = {
  id: "heel-slide",
  name: "Heel slide",
  family: "knee-bend-range",
  lane: "mobility",
  muscles: ["hamstrings", "hip-flexors"],
  regions: ["knee", "hip"],
  loads: loads("low", "low", "low"),
  sides: "each-side",
  effort: "light",
  feltIn: "an easy pull above the knee at the end",
  notFeltIn: "pressure behind the kneecap or a pinch in the groin",
  cues: ["Heel stays on the floor", "Go to the first tightness, breathe, come back"],
  faults: [{ code: "hip-turns", name: "Thigh falls outward", view: "front", phase: "down" }],
  forbiddenBy: [],
  leadsTo: ["seated-knee-bend"],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "single",
        assistance: "strong",
        range: "part",
      },
      dose: easyReps,
      turns: [ladder("range", "part", "three-quarter", "full")],
      position: "supine",
      kit: ["towel"],
      phase: "range",
      arcs: { knee: [0, 90], hip: [0, 60] },
    },
    [
      { id: "heel-slide-towel", name: "Lying, drawn with a towel" },
      {
        id: "heel-slide-light",
        name: "Lying, the towel only helps at the end",
        turn: ["assistance", "light"],
      },
      { id: "heel-slide-own", name: "Lying, by its own strength", turn: ["assistance", "none"], kit: [] },
    ],
  ),
  source: commonPractice,
};

export const seatedKneeBend: Exercise = {
  id: "seated-knee-bend",
  name: "Bend and straighten in sitting",
  family: "knee-bend-range",
  lane: "mobility",
  muscles: ["quadriceps", "hamstrings"],
  regions: ["knee"],
  loads: loads("low", "low", "low"),
  sides: "each-side",
  effort: "light",
  feltIn: "front of the knee at the bent end",
  cues: ["Bend as far as it goes and wait", "Straighten until the heel is as high as it likes"],
  faults: [{ code: "leans-back", name: "Leans back to straighten", view: "side", phase: "up" }],
  forbiddenBy: [],
  variants: progression(
    {
      settings: {
        contraction: "concentric-eccentric",
        laterality: "single",
        assistance: "strong",
        range: "full",
      },
      dose: dose("activation", { policy: "hold", reps: from(8, 10), hold: from(5, 10) }),
      turns: [ladder("hold", "5-10", "10-20")],
      position: "sitting",
      kit: ["chair"],
      phase: "range",
      arcs: { knee: [0, 120], hip: [80, 90] },
    },
    [
      { id: "seated-knee-bend-helped", name: "Helped by the other foot" },
      { id: "seated-knee-bend-own", name: "By its own strength", turn: ["assistance", "none"] },
    ],
  ),
  source: commonPractice,
};

export const kneeStraightening: Exercise = {
  id: "knee-straightening",
  name: "Knee straightening, hanging or propped",
  family: "knee-straight-range",
  lane: "mobility",
  muscles: ["quadriceps"],
  regions: ["knee"],
  loads: loads("low", "low", "low"),
  sides: "each-side",
  effort: "light",
  feltIn: "a steady pull behind the knee",
  notFeltIn: "tingling in the calf or foot",
  cues: ["Let the weight of the leg do it", "Breathe; do not press back against it"],
  faults: [{ code: "leg-turns", name: "Leg rolls outward", view: "front", phase: "throughout" }],
  caution: "Stop at tingling; stiffness that grows is for the clinician to see.",
  forbiddenBy: [],
  variants: progression(
    {
      settings: { contraction: "isometric", laterality: "single", "load-place": "none", lever: "short" },
      dose: dose("stretch", { sets: 3, hold: from(60) }),
      turns: [],
      position: "supine",
      kit: ["pillow"],
      phase: "range",
      arcs: { knee: [0, 10], hip: [0, 30] },
    },
    [
      { id: "heel-prop-short", name: "Calf on a pillow, knee free" },
      { id: "heel-prop", name: "Heel on a pillow, knee free", turn: ["lever", "long"] },
      {
        id: "prone-hang",
        name: "Lying face down, a small weight at the ankle",
        turn: ["load-place", "ankle"],
        position: "prone",
        kit: ["ankle-weight"],
        arcs: { knee: [0, 10], hip: [0, 0] },
      },
    ],
  ),
  source: commonPractice,
};

export const rangeExercises = [hipRange, heelSlide, seatedKneeBend, kneeStraightening];
