import type { Measure, MeasureError } from "~/core/measure/measure";
import { commonPractice, recalled } from "../source";
import { lengthUnits, measuresOf, type Common } from "./compose";

const count: Common = {
  group: "endurance",
  unit: "1",
  sides: "each",
  better: "higher",
  summary: "best",
  whole: true,
  trials: 1,
  plausible: { low: 0, high: 200 },
  usual: { low: 0, high: 60 },
  minutes: 3,
};
const seconds: Common = {
  group: "endurance",
  unit: "s",
  sides: "none",
  better: "higher",
  summary: "best",
  trials: 1,
  plausible: { low: 0, high: 1200 },
  usual: { low: 0, high: 300 },
  minutes: 4,
};

/** MDC of hop symmetry, per cent, at 90 % confidence (Reid 2007, recalled). */
const hopError = (amount: number): MeasureError[] => [
  { of: "symmetry", kind: "mdc", amount, confidencePercent: 90, source: recalled("Reid 2007") },
];
const hop: Common = {
  group: "spring",
  unit: "cm",
  sides: "each",
  better: "higher",
  summary: "best",
  trials: 3,
  entryUnits: lengthUnits,
  plausible: { low: 0, high: 1200 },
  ways: ["hands free, landing held 2 s, toe to heel", "hands on hips, landing held 2 s, toe to heel"],
  minutes: 4,
};

/** Endurance counts and holds, balance, springs and runs. */
export const performanceMeasures: readonly Measure[] = [
  ...measuresOf(count, [
    {
      code: "single-leg-bridge-reps",
      name: "Single-leg bridges, clean",
      ways: ["heel on a 60 cm box, knee 20°", "foot on the floor, knee 90°"],
      source: recalled("Freckleton 2014"),
    },
    {
      code: "heel-raise-reps",
      name: "Single-leg heel raises, clean",
      ways: ["straight knee, fingertips, one every 2 s"],
      source: recalled("Lunsford & Perry 1995"),
    },
    { code: "single-leg-squat-reps", name: "Single-leg squats to 60°, clean" },
    { code: "single-leg-rise-reps", name: "Single-leg rises from a chair, clean" },
    { code: "step-down-reps", name: "Step-downs from 20 cm, clean" },
    {
      code: "chair-stand-30s",
      name: "Chair stands in 30 s (arms used counts 0)",
      sides: "none",
      plausible: { low: 0, high: 60 },
      usual: { low: 0, high: 35 },
      source: recalled("CDC STEADI"),
    },
  ]),
  ...measuresOf(seconds, [
    { code: "side-plank-hold", name: "Side plank", sides: "each", source: recalled("McGill 1999") },
    { code: "front-plank-hold", name: "Front plank", source: recalled("McGill 1999") },
    { code: "back-extension-hold", name: "Back extension hold", source: recalled("McGill 1999") },
  ]),
  ...measuresOf(
    {
      ...seconds,
      group: "balance",
      sides: "each",
      plausible: { low: 0, high: 120 },
      usual: { low: 0, high: 60 },
      minutes: 2,
      trials: 3,
    },
    [
      { code: "stance-open", name: "Single-leg stance, eyes open" },
      { code: "stance-closed", name: "Single-leg stance, eyes closed" },
    ],
  ),
  ...measuresOf(
    {
      ...hop,
      group: "balance",
      summary: "mean",
      normalise: "leg-length",
      plausible: { low: 1, high: 200 },
      usual: { low: 20, high: 140 },
      ways: ["barefoot, heel down, hands on hips"],
      minutes: 3,
    },
    [
      { code: "reach-front", name: "Reach, front", source: recalled("Plisky 2006") },
      { code: "reach-back-inside", name: "Reach, back and inside", source: recalled("Plisky 2006") },
      { code: "reach-back-outside", name: "Reach, back and outside", source: recalled("Plisky 2006") },
    ],
  ),
  ...measuresOf(hop, [
    {
      code: "single-hop",
      name: "Single hop for distance",
      plausible: { low: 0, high: 350 },
      usual: { low: 20, high: 260 },
      errors: hopError(8.09),
    },
    {
      code: "triple-hop",
      name: "Triple hop",
      plausible: { low: 0, high: 1000 },
      usual: { low: 60, high: 800 },
      errors: hopError(10.02),
    },
    {
      code: "crossover-hop",
      name: "Crossover hop",
      plausible: { low: 0, high: 1000 },
      usual: { low: 60, high: 780 },
      errors: hopError(12.25),
    },
    {
      code: "timed-hop",
      name: "Timed hop over 6 m",
      unit: "s",
      better: "lower",
      entryUnits: undefined,
      plausible: { low: 1, high: 20 },
      usual: { low: 1.3, high: 8 },
      errors: hopError(12.96),
    },
    {
      code: "side-hops",
      name: "Side hops in 30 s",
      unit: "1",
      whole: true,
      trials: 1,
      entryUnits: undefined,
      plausible: { low: 0, high: 150 },
      usual: { low: 5, high: 90 },
      ways: ["over two lines 40 cm apart, hands free"],
    },
    {
      code: "jump-height",
      name: "Single-leg jump height",
      plausible: { low: 0, high: 80 },
      usual: { low: 2, high: 45 },
      ways: ["jump mat, hands on hips"],
    },
    {
      code: "drop-jump-index",
      name: "Drop-jump index, height over contact time",
      unit: "m/s",
      entryUnits: undefined,
      plausible: { low: 0, high: 5 },
      usual: { low: 0.2, high: 3 },
      ways: ["jump mat, drop from 15 cm", "jump mat, drop from 30 cm"],
    },
  ]),
  ...measuresOf(
    {
      group: "run",
      unit: "1",
      sides: "none",
      better: "higher",
      summary: "latest",
      trials: 1,
      plausible: { low: 0, high: 200 },
      minutes: 25,
    },
    [
      {
        code: "steady-run-minutes",
        name: "Steady running without a stop",
        unit: "min",
        plausible: { low: 0, high: 240 },
      },
      {
        code: "top-speed-share",
        name: "Share of top speed reached",
        unit: "%",
        plausible: { low: 0, high: 105 },
      },
      {
        code: "fast-leg-raise",
        last: true,
        name: "Fast straight-leg raise without apprehension",
        sides: "each",
        grades: ["apprehension", "none"],
        whole: true,
        plausible: { low: 0, high: 1 },
        minutes: 1,
        source: recalled("Askling 2010"),
      },
      { code: "full-trainings", name: "Full trainings completed", whole: true, minutes: 0.2 },
      { code: "fast-sessions", name: "Sessions at 90 % of top speed or more", whole: true, minutes: 0.2 },
    ],
  ),
  {
    code: "agility-t",
    name: "Agility T-test",
    group: "run",
    unit: "s",
    sides: "none",
    better: "lower",
    summary: "best",
    trials: 2,
    plausible: { low: 7, high: 40 },
    usual: { low: 9, high: 20 },
    minutes: 6,
    source: commonPractice,
  },
];
