import type { Exercise } from "~/core/progression/exercise";
import { commonPractice } from "../source";
import { controlDose, squeezeDose, strengthDose } from "./doses";

const bands = ["30-40", "50-70", "70-85", "85-100"];

export const ballSqueeze: Exercise = {
  id: "ball-squeeze",
  name: "Ball squeeze",
  lane: "adductors",
  sides: "both-together",
  feltIn: "inner thigh, both sides alike",
  cues: ["Build the press over two seconds", "Keep the pelvis still", "Breathe through the hold"],
  faults: [
    { code: "pelvis-tilts", name: "Pelvis tilts or lifts" },
    { code: "one-side-pushes", name: "One knee does the pushing" },
  ],
  caution: "No maximal squeeze while the injury is fresh: pain inhibits it and the figure means nothing.",
  variants: [
    {
      id: "ball-squeeze-bent",
      name: "Ball between the knees, knees bent",
      settings: { contraction: "isometric", lever: "short" },
      dose: squeezeDose,
      turns: [
        { knob: "effort", ladder: bands },
        { knob: "hold", ladder: ["10-10", "15-15", "20-20"] },
      ],
      position: "supine",
      kit: ["ball"],
    },
    {
      id: "ball-squeeze-straight",
      name: "Ball between the ankles, legs straight",
      settings: { contraction: "isometric", lever: "long" },
      dose: squeezeDose,
      turns: [
        { knob: "effort", ladder: bands },
        { knob: "hold", ladder: ["10-10", "15-15"] },
      ],
      position: "supine",
      kit: ["ball"],
    },
  ],
  source: commonPractice,
};

export const adductorSlide: Exercise = {
  id: "adductor-slide",
  name: "Adductor slide",
  lane: "adductors",
  sides: "each-side",
  feltIn: "inner thigh of the sliding leg",
  cues: ["Weight over the standing leg", "Slide out slowly, drag back with the inner thigh"],
  faults: [
    { code: "trunk-leans", name: "Trunk leans over the sliding leg" },
    { code: "knee-in", name: "Standing knee drifts inward", steersKnee: true },
  ],
  caution: "Slide only as far as it stays within the pain rule; no stretch at the end.",
  variants: [
    {
      id: "adductor-slide-held",
      name: "Slide with both hands held",
      settings: { support: "two-hands", range: "part", contraction: "concentric-eccentric" },
      dose: { ...controlDose, reps: { bottom: 8, top: 12 } },
      turns: [{ knob: "range", ladder: ["part", "three-quarter", "full"] }],
      position: "standing",
      kit: ["slider"],
    },
    {
      id: "adductor-slide-free",
      name: "Slide without holding on",
      settings: { support: "none", range: "part", contraction: "concentric-eccentric" },
      dose: { ...controlDose, reps: { bottom: 8, top: 12 } },
      turns: [
        { knob: "range", ladder: ["part", "three-quarter", "full"] },
        { knob: "load", stepPercent: 5, incrementKg: 2, maximumKg: 24 },
      ],
      position: "standing",
      kit: ["slider"],
    },
  ],
  source: commonPractice,
};

export const sideLyingAdduction: Exercise = {
  id: "side-lying-adduction",
  name: "Side-lying adduction, top leg on a bench",
  lane: "adductors",
  sides: "each-side",
  feltIn: "inner thigh of the lower and of the supported leg",
  cues: ["Shoulder, hip and knee in one line", "Lift the hips, then bring the lower leg up to the top one"],
  faults: [
    { code: "hip-sags", name: "Hips sag towards the floor" },
    { code: "trunk-turns", name: "Trunk turns backward" },
  ],
  caution:
    "The highest adductor load in this list: soreness for two days is usual at first, pain at the site is not.",
  variants: [
    {
      id: "side-lying-adduction-knee",
      name: "Knee on the bench",
      settings: { lever: "short", contraction: "concentric-eccentric" },
      dose: { ...strengthDose, sets: 2, reps: { bottom: 5, top: 10 } },
      turns: [{ knob: "sets", ladder: [1, 2, 3] }],
      position: "side-lying",
      kit: ["bench"],
    },
    {
      id: "side-lying-adduction-foot",
      name: "Foot on the bench",
      settings: { lever: "long", contraction: "concentric-eccentric" },
      dose: { ...strengthDose, sets: 2, reps: { bottom: 5, top: 10 } },
      turns: [
        { knob: "sets", ladder: [1, 2, 3] },
        { knob: "reps", ladder: ["5-10", "8-15"] },
      ],
      position: "side-lying",
      kit: ["bench"],
    },
  ],
  source: commonPractice,
};
