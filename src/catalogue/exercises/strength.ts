import type { Exercise } from "~/core/progression/exercise";
import { commonPractice } from "../source";
import { bridgeDose, controlDose, holdDose, strengthDose } from "./doses";

export const squat: Exercise = {
  id: "two-leg-squat",
  name: "Two-leg squat",
  lane: "knee-extensors",
  sides: "both-together",
  feltIn: "front of the thighs and buttocks",
  cues: ["Whole foot stays down", "Knees point where the feet point", "Hips go back and down"],
  faults: [
    { code: "knee-in", name: "Knees drift inward", steersKnee: true },
    { code: "shift", name: "Weight shifts to the good side" },
    { code: "heels-lift", name: "Heels lift" },
  ],
  variants: [
    {
      id: "squat-held",
      name: "Squat holding on",
      settings: { support: "two-hands", "knee-angle": 60 },
      dose: { ...controlDose, reps: { bottom: 10, top: 15 } },
      turns: [{ knob: "knee-angle", ladder: [45, 60, 75, 90] }],
      position: "standing",
      kit: [],
    },
    {
      id: "squat-free",
      name: "Free squat",
      settings: { support: "none", "knee-angle": 60 },
      dose: strengthDose,
      turns: [
        { knob: "knee-angle", ladder: [45, 60, 75, 90] },
        { knob: "load", stepPercent: 5, incrementKg: 2, maximumKg: 120 },
      ],
      position: "standing",
      kit: [],
    },
  ],
  source: commonPractice,
};

export const sideStepUp: Exercise = {
  id: "side-step-up",
  name: "Side step-up",
  lane: "knee-extensors",
  sides: "each-side",
  feltIn: "front of the thigh and side of the hip of the leg on the step",
  cues: ["The upper leg does all the lifting", "Tap the heel, do not land on it"],
  faults: [
    { code: "push-off", name: "Lower leg pushes off" },
    { code: "knee-in", name: "Knee drifts inward", steersKnee: true },
    { code: "hip-hike", name: "Hip hikes" },
  ],
  variants: [
    {
      id: "side-step-up-held",
      name: "Side step-up, one hand held",
      settings: { support: "one-hand", "step-height": 10 },
      dose: strengthDose,
      turns: [{ knob: "step-height", ladder: [5, 10, 15, 20] }],
      position: "standing",
      kit: ["step"],
    },
    {
      id: "side-step-up-free",
      name: "Side step-up, free",
      settings: { support: "none", "step-height": 10 },
      dose: strengthDose,
      turns: [
        { knob: "step-height", ladder: [5, 10, 15, 20, 25] },
        { knob: "load", stepPercent: 5, incrementKg: 2, maximumKg: 40 },
      ],
      position: "standing",
      kit: ["step"],
    },
  ],
  source: commonPractice,
};

export const hinge: Exercise = {
  id: "hinge",
  name: "Hip hinge",
  lane: "hamstrings",
  sides: "both-together",
  feltIn: "back of the thighs and buttocks, not the low back",
  cues: ["Soft knees, shins still", "Push the hips back until the thighs feel it", "Load close to the legs"],
  faults: [
    { code: "back-rounds", name: "Back rounds" },
    { code: "squats", name: "Turns into a squat" },
  ],
  variants: [
    {
      id: "hinge-stick",
      name: "Hinge with a stick on the back",
      settings: { "load-place": "none", laterality: "both" },
      dose: { ...controlDose, reps: { bottom: 10, top: 15 } },
      turns: [{ knob: "reps", ladder: ["8-12", "10-15"] }],
      position: "standing",
      kit: [],
    },
    {
      id: "hinge-loaded",
      name: "Romanian deadlift",
      settings: { "load-place": "hands", laterality: "both" },
      dose: { ...strengthDose, loadKg: 8 },
      turns: [{ knob: "load", stepPercent: 5, incrementKg: 2, maximumKg: 120 }],
      position: "standing",
      kit: ["dumbbells"],
    },
    {
      id: "hinge-staggered",
      name: "Romanian deadlift, staggered stance",
      settings: { "load-place": "hands", laterality: "staggered" },
      dose: { ...strengthDose, loadKg: 6 },
      turns: [{ knob: "load", stepPercent: 5, incrementKg: 2, maximumKg: 80 }],
      position: "standing",
      kit: ["dumbbells"],
    },
  ],
  source: commonPractice,
};

export const bridge: Exercise = {
  id: "bridge",
  name: "Bridge",
  lane: "hip-extensors",
  sides: "both-together",
  feltIn: "buttocks, then hamstrings",
  cues: ["Tuck the pelvis, then lift", "Stop where hip and thigh make one line"],
  faults: [
    { code: "back-arches", name: "Low back arches" },
    { code: "pelvis-drops", name: "Pelvis drops or turns" },
  ],
  variants: [
    {
      id: "bridge-two-legs",
      name: "Bridge on both legs",
      settings: { laterality: "both" },
      dose: { ...bridgeDose, hold: { bottom: 1, top: 1 } },
      turns: [
        { knob: "reps", ladder: ["8-20", "12-30"] },
        { knob: "hold", ladder: ["1-1", "3-3", "5-5"] },
        { knob: "load", stepPercent: 10, incrementKg: 5, maximumKg: 20 },
      ],
      position: "supine",
      kit: [],
    },
    {
      id: "bridge-one-leg",
      name: "Bridge on one leg",
      settings: { laterality: "single" },
      dose: { ...bridgeDose, reps: { bottom: 8, top: 15 } },
      turns: [{ knob: "reps", ladder: ["8-15", "10-20"] }],
      position: "supine",
      kit: [],
    },
  ],
  source: commonPractice,
};

export const sideLyingLift: Exercise = {
  id: "side-lying-lift",
  name: "Side-lying leg lift",
  lane: "hip-abductors",
  sides: "each-side",
  feltIn: "side of the hip",
  cues: ["Leg slightly behind the body", "Heel leads, toes straight ahead"],
  faults: [{ code: "hip-rolls", name: "Hip rolls backward" }],
  variants: [
    {
      id: "side-lying-lift-bent",
      name: "Lift with the knee bent",
      settings: { lever: "short" },
      dose: { ...controlDose, hold: { bottom: 3, top: 3 } },
      turns: [{ knob: "reps", ladder: ["10-20", "15-25"] }],
      position: "side-lying",
      kit: [],
    },
    {
      id: "side-lying-lift-straight",
      name: "Lift with the leg straight",
      settings: { lever: "long" },
      dose: { ...controlDose, hold: { bottom: 3, top: 3 } },
      turns: [
        { knob: "reps", ladder: ["10-20", "15-25"] },
        { knob: "load", stepPercent: 10, incrementKg: 0.5, maximumKg: 5 },
      ],
      position: "side-lying",
      kit: [],
    },
  ],
  source: commonPractice,
};

export const frontPlank: Exercise = {
  id: "front-plank",
  name: "Forearm plank",
  lane: "trunk",
  sides: "both-together",
  feltIn: "belly, not the low back",
  cues: ["Elbows under the shoulders", "Level pelvis, long neck"],
  faults: [{ code: "back-sags", name: "Low back sags" }],
  variants: [
    {
      id: "front-plank-knees",
      name: "Plank on the knees",
      settings: { lever: "short" },
      dose: holdDose,
      turns: [{ knob: "hold", ladder: ["10-15", "15-20", "20-30"] }],
      position: "prone",
      kit: [],
    },
    {
      id: "front-plank-feet",
      name: "Plank on the feet",
      settings: { lever: "long" },
      dose: holdDose,
      turns: [{ knob: "hold", ladder: ["10-15", "15-20", "20-30", "30-45"] }],
      position: "prone",
      kit: [],
    },
  ],
  source: commonPractice,
};
