import type { Pathway, Stage } from "~/core/pathway/pathway";
import { commonPractice } from "../source";
import { adductionSymmetry, adductorRatio, fresh, squeezePain } from "./groin-criteria";
import { firstOf, limitsByNeed } from "./compose";

const stageLimit = (knob: string, hardest: string | number, says: string): Stage["limits"][number] => ({
  kind: "knob-limit",
  knob,
  hardest,
  origin: "stage",
  says,
});

const protect: Stage = {
  code: "protect",
  name: "Protect",
  aim: "Settle the injury and walk without pain.",
  expect:
    "A few quiet days. Walking comes back first; no stretching of the inner thigh and no testing of strength.",
  school: "pain-free",
  lanes: [
    { lane: "adductors", exercises: ["ball-squeeze"] },
    { lane: "mobility", exercises: ["hip-active-range"] },
    { lane: "trunk", exercises: ["front-plank"] },
    { lane: "balance", exercises: ["single-leg-stance"] },
  ],
  limits: [
    ...limitsByNeed("groin-strain", "protect"),
    stageLimit("effort", "30-40", "squeezes stay at 30–40 % in this stage"),
  ],
  caution: "No adductor stretch, no maximal test.",
  gate: {
    minimumDaysSinceOnset: 3,
    minimumDaysInStage: 2,
    criteria: [
      {
        kind: "value",
        id: "walking",
        name: "Pain in walking",
        measure: "pain-walking",
        comparison: "<=",
        threshold: 0,
        maxAgeDays: 5,
        required: true,
        source: commonPractice,
      },
      {
        kind: "within-rule",
        id: "light-squeeze",
        name: "Squeeze at 30 % or more within the pain rule, closed days",
        exercise: "ball-squeeze",
        effortPercent: 30,
        closedDays: 1,
        required: true,
        source: commonPractice,
      },
    ],
  },
};

const isometric: Stage = {
  code: "isometric",
  name: "Isometric",
  aim: "Hold a firm squeeze on several days without a reaction.",
  expect: "A dull feeling while pressing may be allowed; it must be gone by the next morning.",
  school: "pain-free",
  lanes: [
    { lane: "adductors", exercises: ["ball-squeeze", "adductor-slide"] },
    { lane: "hip-abductors", exercises: ["side-lying-lift"] },
    { lane: "hip-extensors", exercises: ["bridge"] },
    { lane: "trunk", exercises: ["front-plank"] },
    { lane: "balance", exercises: ["single-leg-stance"] },
    { lane: "mobility", exercises: ["hip-active-range"] },
  ],
  limits: [
    ...limitsByNeed("groin-strain", "isometric"),
    stageLimit("effort", "70-85", "maximal squeezes wait for the next stage"),
  ],
  caution: "Pressing harder than the band does not speed this up.",
  gate: {
    minimumDaysSinceOnset: 10,
    minimumDaysInStage: 5,
    criteria: [
      {
        kind: "within-rule",
        id: "firm-squeeze",
        name: "Squeeze at 70 % or more within the pain rule, closed days",
        exercise: "ball-squeeze",
        effortPercent: 70,
        closedDays: 2,
        required: true,
        source: commonPractice,
      },
      {
        kind: "symmetry",
        id: "range",
        name: "Hip abduction range against the other side",
        measure: "hip-abduction-range",
        comparison: ">=",
        threshold: 95,
        maxAgeDays: fresh,
        required: true,
        source: commonPractice,
      },
      { ...squeezePain, required: false },
    ],
  },
};

const build: Stage = {
  code: "build",
  name: "Build",
  aim: "Isometric, heavy and functional work together, in every lane.",
  expect: "Tired muscles for a day or two. The lanes you like least matter most.",
  school: "monitored",
  lanes: [
    { lane: "adductors", exercises: ["ball-squeeze", "adductor-slide", "side-lying-adduction"] },
    { lane: "hip-abductors", exercises: ["side-lying-lift"] },
    { lane: "knee-extensors", exercises: ["two-leg-squat", "side-step-up"] },
    { lane: "hamstrings", exercises: ["hinge"] },
    { lane: "hip-extensors", exercises: ["bridge"] },
    { lane: "trunk", exercises: ["front-plank"] },
    { lane: "balance", exercises: ["single-leg-stance"] },
  ],
  limits: [...limitsByNeed("groin-strain", "build")],
  gate: {
    minimumDaysSinceOnset: 21,
    minimumDaysInStage: 10,
    criteria: [
      {
        kind: "of-reference",
        id: "squeeze-reference",
        name: "Squeeze against its reference",
        measure: "squeeze-force",
        comparison: ">=",
        threshold: 80,
        maxAgeDays: fresh,
        required: true,
        source: commonPractice,
      },
      adductionSymmetry(80),
      adductorRatio(0.8),
      squeezePain,
    ],
  },
};

const spring: Stage = {
  code: "load-and-spring",
  name: "Load and spring",
  aim: "Heavier and longer, then quick contacts.",
  expect: "Spring days are short and need two days between them.",
  school: "monitored",
  lanes: [
    { lane: "adductors", exercises: ["side-lying-adduction", "adductor-slide"] },
    { lane: "hip-abductors", exercises: ["side-lying-lift"] },
    { lane: "knee-extensors", exercises: ["two-leg-squat", "side-step-up"] },
    { lane: "hamstrings", exercises: ["hinge"] },
    { lane: "trunk", exercises: ["front-plank"] },
    { lane: "landing", exercises: ["rebounds"] },
  ],
  limits: [...limitsByNeed("groin-strain", "load-and-spring")],
  gate: {
    minimumDaysSinceOnset: 28,
    minimumDaysInStage: 10,
    criteria: [
      adductionSymmetry(90),
      {
        kind: "symmetry",
        id: "side-hops",
        name: "Side hops in 30 s against the other side",
        measure: "side-hops",
        comparison: ">=",
        threshold: 90,
        maxAgeDays: fresh,
        required: true,
        source: commonPractice,
      },
      adductorRatio(0.9),
    ],
  },
};

const run: Stage = {
  code: "run-and-return",
  name: "Run and return",
  aim: "From intervals to full training, one variable a week.",
  expect: "Straight and steady first, then faster, then turning. Full training comes last.",
  school: "monitored",
  lanes: [
    { lane: "running", exercises: ["running"] },
    { lane: "landing", exercises: ["rebounds"] },
    { lane: "adductors", exercises: ["side-lying-adduction"] },
    { lane: "hamstrings", exercises: ["hinge"] },
    { lane: "trunk", exercises: ["front-plank"] },
  ],
  limits: [...limitsByNeed("groin-strain", "run-and-return")],
  gate: {
    minimumDaysSinceOnset: 35,
    minimumDaysInStage: 14,
    criteria: [
      {
        kind: "value",
        id: "steady-run",
        name: "Steady run",
        measure: "steady-run-minutes",
        comparison: ">=",
        threshold: 20,
        maxAgeDays: fresh,
        required: true,
        source: commonPractice,
      },
      {
        kind: "value",
        id: "run-pain",
        name: "Pain in that run",
        measure: "pain-steady-run",
        comparison: "<=",
        threshold: 0,
        maxAgeDays: fresh,
        required: true,
        source: commonPractice,
      },
      adductionSymmetry(95),
      squeezePain,
      {
        kind: "value",
        id: "trainings",
        name: "Full trainings completed",
        measure: "full-trainings",
        comparison: ">=",
        threshold: 2,
        maxAgeDays: 21,
        required: true,
        source: commonPractice,
      },
    ],
  },
};

const keep: Stage = {
  code: "keep",
  name: "Keep",
  aim: "Two or three times a week, for good.",
  expect: "Ten minutes, two or three times a week. Reviews at 6 and at 12 weeks.",
  school: "monitored",
  lanes: [
    { lane: "adductors", exercises: ["side-lying-adduction", "ball-squeeze"] },
    { lane: "hip-abductors", exercises: ["side-lying-lift"] },
    { lane: "trunk", exercises: ["front-plank"] },
    { lane: "landing", exercises: ["rebounds"] },
  ],
  limits: [...limitsByNeed("groin-strain", "keep")],
};

/** Adductor strain, six stages. Thresholds are defaults a clinic may change; composed from common practice. */
export const groinPathway: Pathway = {
  code: "groin-strain",
  name: "Groin (adductor) strain",
  region: "groin",
  siteLane: "adductors",
  stages: [protect, isometric, build, spring, run, keep].map((stage) => ({
    ...stage,
    lanes: stage.lanes.map((entry) => ({ ...entry, ...firstOf("groin-strain", stage.code, entry.lane) })),
  })),
  source: commonPractice,
};
