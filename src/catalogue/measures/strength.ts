import type { Measure } from "~/core/measure/measure";
import { commonPractice } from "../source";
import { forceUnits, massUnits, measuresOf, type Common } from "./compose";

const force: Common = {
  group: "strength",
  unit: "N",
  sides: "each",
  better: "higher",
  summary: "best",
  trials: 3,
  normalise: "body-mass",
  entryUnits: forceUnits,
  plausible: { low: 0, high: 1500 },
  usual: { low: 20, high: 900 },
  minutes: 3,
};

const held = (position: string) => [
  `${position}, belt-fixed dynamometer, 5 cm above the ankle`,
  `${position}, hand-held dynamometer, 5 cm above the ankle`,
];

/** Isometric force and single-leg press. The lever arm stands in the way of testing; torque is N × lever. */
export const strengthMeasures: readonly Measure[] = [
  ...measuresOf(force, [
    {
      code: "knee-extension-force",
      name: "Knee extension, isometric",
      plausible: { low: 0, high: 2500 },
      ways: held("sitting, knee 90°"),
    },
    {
      code: "knee-flexion-force",
      name: "Knee flexion, isometric",
      ways: [...held("lying prone, knee 90°"), ...held("lying prone, knee 15°")],
    },
    {
      code: "hip-abduction-force",
      name: "Hip abduction, isometric",
      ways: held("lying on the back, leg straight"),
    },
    {
      code: "hip-adduction-force",
      name: "Hip adduction, isometric",
      ways: held("lying on the back, leg straight"),
    },
    {
      code: "hip-external-rotation-force",
      name: "Hip external rotation, isometric",
      ways: held("sitting, hip and knee 90°"),
    },
    { code: "hip-extension-force", name: "Hip extension, isometric", ways: held("lying prone, knee 90°") },
  ]),
  {
    ...force,
    code: "squeeze-force",
    name: "Squeeze, both legs",
    sides: "none",
    ways: [
      "lying, knees bent 45°, dynamometer between the knees",
      "lying, legs straight, dynamometer between the ankles",
    ],
    minutes: 2,
    source: commonPractice,
  },
  {
    ...force,
    code: "squeeze-pressure",
    name: "Squeeze, both legs, cuff",
    unit: "mm[Hg]",
    sides: "none",
    normalise: "none",
    entryUnits: [{ unit: "mm[Hg]", factor: 1 }],
    plausible: { low: 0, high: 400 },
    usual: { low: 40, high: 320 },
    ways: ["lying, knees bent 45°, cuff begun at 20 mmHg"],
    minutes: 2,
    source: commonPractice,
  },
  {
    ...force,
    code: "single-leg-press-1rm",
    name: "Single-leg press, one-repetition maximum",
    unit: "kg",
    entryUnits: massUnits,
    trials: 1,
    plausible: { low: 0, high: 500 },
    usual: { low: 10, high: 250 },
    ways: ["lifted once", "estimated from repetitions, Epley", "estimated from repetitions, Brzycki"],
    minutes: 8,
    source: commonPractice,
  },
];
