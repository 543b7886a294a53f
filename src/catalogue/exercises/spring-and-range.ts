import type { Exercise } from "~/core/progression/exercise";
import { commonPractice } from "../source";
import { balanceDose, mobilityDose, runningDose, springDose } from "./doses";

export const hipRange: Exercise = {
  id: "hip-active-range",
  name: "Active hip range, four planes",
  lane: "mobility",
  sides: "each-side",
  feltIn: "easy movement, no stretch at the site",
  cues: ["Move as far as it is easy", "Same speed out and back"],
  faults: [],
  caution: "No adductor stretching in the first stages.",
  variants: [
    {
      id: "hip-active-range-standing",
      name: "Standing, one hand held",
      settings: { support: "one-hand" },
      dose: mobilityDose,
      turns: [],
      position: "standing",
      kit: [],
    },
  ],
  source: commonPractice,
};

export const singleLegStance: Exercise = {
  id: "single-leg-stance",
  name: "Single-leg stance",
  lane: "balance",
  sides: "each-side",
  feltIn: "foot, calf and side of the hip",
  cues: ["Soft knee", "Belt level"],
  faults: [
    { code: "pelvis-drops", name: "Pelvis drops on the free side" },
    { code: "trunk-leans", name: "Trunk leans over" },
  ],
  variants: [
    {
      id: "stance-eyes-open",
      name: "Eyes open",
      settings: { vision: "open", surface: "firm" },
      dose: balanceDose,
      turns: [{ knob: "hold", ladder: ["5-10", "10-30"] }],
      position: "standing",
      kit: [],
    },
    {
      id: "stance-eyes-closed",
      name: "Eyes closed",
      settings: { vision: "closed", surface: "firm" },
      dose: { ...balanceDose, hold: { bottom: 5, top: 20 } },
      turns: [{ knob: "hold", ladder: ["5-20", "10-30"] }],
      position: "standing",
      kit: [],
    },
  ],
  source: commonPractice,
};

export const rebounds: Exercise = {
  id: "rebounds",
  name: "Small rebounds and hops",
  lane: "landing",
  sides: "both-together",
  feltIn: "calves; quiet, quick contacts",
  cues: ["Short contact, little knee bend", "Land where you took off"],
  faults: [
    { code: "loud", name: "Heavy, loud landing" },
    { code: "knee-in", name: "Knees drift inward", steersKnee: true },
  ],
  caution: "Contacts, not repetitions, are counted. Two days free between spring days.",
  variants: [
    {
      id: "rebounds-two-legs",
      name: "Two-leg rebounds",
      settings: { laterality: "both", direction: "forward" },
      dose: springDose,
      turns: [{ knob: "contacts", ladder: ["6-8", "8-10", "10-12"] }],
      position: "standing",
      kit: [],
    },
    {
      id: "hops-one-leg",
      name: "Single-leg hops along a line",
      settings: { laterality: "single", direction: "forward" },
      dose: springDose,
      turns: [{ knob: "contacts", ladder: ["6-8", "8-10"] }],
      position: "standing",
      kit: [],
    },
    {
      id: "hops-one-leg-turning",
      name: "Single-leg hops round a square",
      settings: { laterality: "single", direction: "rotational" },
      dose: springDose,
      turns: [{ knob: "contacts", ladder: ["6-8", "8-10"] }],
      position: "standing",
      kit: [],
    },
  ],
  source: commonPractice,
};

export const runningSteps: Exercise = {
  id: "running",
  name: "Running",
  lane: "running",
  sides: "both-together",
  feltIn: "an easy rhythm, nothing at the site",
  cues: ["Short quick steps", "Stop when the rhythm changes"],
  faults: [{ code: "limp", name: "Limps or shortens one step" }],
  caution: "One variable a week: distance, then speed, then change of direction.",
  variants: [
    {
      id: "running-straight",
      name: "Straight line, walk–run intervals",
      settings: { direction: "forward", speed: 60 },
      dose: runningDose,
      turns: [
        { knob: "minutes", ladder: [1, 2, 3, 4, 5] },
        { knob: "speed", ladder: [60, 70, 80, 90, 100] },
      ],
      position: "standing",
      kit: [],
    },
    {
      id: "running-turning",
      name: "Runs with change of direction",
      settings: { direction: "rotational", speed: 60 },
      dose: { ...runningDose, minutes: 2 },
      turns: [{ knob: "speed", ladder: [60, 70, 80, 90, 100] }],
      position: "standing",
      kit: [],
    },
  ],
  source: commonPractice,
};
