import type { Measure } from "~/core/measure/measure";
import { recalled } from "../source";
import { lengthUnits, measuresOf, type Common } from "./compose";

const angle: Common = {
  plausible: { low: 0, high: 180 },
  group: "range",
  unit: "deg",
  sides: "each",
  better: "higher",
  summary: "mean",
  trials: 2,
  minutes: 1.5,
  ways: ["goniometer, lying", "inclinometer, lying"],
};

/** Range of motion, degrees. */
export const rangeMeasures: readonly Measure[] = measuresOf(angle, [
  {
    code: "knee-extension-deficit",
    name: "Knee extension deficit",
    better: "lower",
    plausible: { low: -15, high: 90 },
    usual: { low: -10, high: 30 },
    ways: ["goniometer, lying, heel propped", "heel height difference, lying prone: 1 cm is about 1°"],
  },
  {
    code: "knee-flexion",
    name: "Knee flexion",
    plausible: { low: 0, high: 170 },
    usual: { low: 60, high: 160 },
  },
  {
    code: "quad-lag",
    name: "Extension lag in a straight-leg raise",
    better: "lower",
    plausible: { low: 0, high: 60 },
    usual: { low: 0, high: 30 },
  },
  {
    code: "hip-flexion",
    name: "Hip flexion",
    plausible: { low: 0, high: 160 },
    usual: { low: 70, high: 140 },
  },
  {
    code: "hip-internal-rotation",
    name: "Hip internal rotation",
    plausible: { low: -20, high: 90 },
    usual: { low: 5, high: 60 },
    ways: ["inclinometer, lying prone", "inclinometer, sitting", "goniometer, lying, hip at 90°"],
  },
  {
    code: "hip-external-rotation-range",
    name: "Hip external rotation",
    plausible: { low: -20, high: 100 },
    usual: { low: 15, high: 75 },
    ways: ["inclinometer, lying prone", "inclinometer, sitting", "goniometer, lying, hip at 90°"],
  },
  {
    code: "hip-extension-range",
    name: "Hip extension",
    plausible: { low: -40, high: 50 },
    usual: { low: -20, high: 30 },
  },
  {
    code: "hip-abduction-range",
    name: "Hip abduction, range",
    summary: "best",
    plausible: { low: 0, high: 90 },
    usual: { low: 15, high: 70 },
  },
  {
    code: "active-knee-extension-deficit",
    name: "Active knee extension, short of straight, hip at 90°",
    better: "lower",
    plausible: { low: -10, high: 90 },
    usual: { low: 0, high: 60 },
    source: recalled("Malliaropoulos 2010"),
  },
  {
    code: "straight-leg-raise-range",
    name: "Straight-leg raise, passive",
    plausible: { low: 0, high: 150 },
    usual: { low: 40, high: 120 },
  },
  {
    code: "knee-to-wall",
    name: "Knee-to-wall distance",
    unit: "cm",
    trials: 3,
    plausible: { low: 0, high: 30 },
    usual: { low: 0, high: 20 },
    entryUnits: lengthUnits,
    ways: ["tape on the floor, heel down, barefoot", "tape on the floor, heel down, in shoes"],
    errors: [
      { of: "value", kind: "mdc", amount: 1.6, confidencePercent: 95, source: recalled("Powden 2015") },
    ],
  },
]);
