import { expect, it } from "vitest";
import { runCalculation } from "~/core/calculation/calculation";
import { findCalculation } from "~/catalogue/calculations/all";
import { effortTarget } from "./effort-target";

it("is the product, unrounded (by hand: 333 × 0.35 = 116.55)", () => {
  expect(effortTarget({ maximumN: 333, lowPercent: 35, highPercent: 100 })).toEqual({
    lowN: 116.55,
    highN: 333,
  });
});

const refused: [string, object, string][] = [
  ["a maximum of zero", { maximumN: 0, lowPercent: 50, highPercent: 70 }, "/maximumN"],
  ["5 000 N", { maximumN: 5000, lowPercent: 50, highPercent: 70 }, "/maximumN"],
  ["a band of zero", { maximumN: 180, lowPercent: 0, highPercent: 70 }, "/lowPercent"],
  ["more than the maximum", { maximumN: 180, lowPercent: 50, highPercent: 101 }, "/highPercent"],
  ["a band upside down", { maximumN: 180, lowPercent: 70, highPercent: 50 }, "/lowPercent"],
  ["a numeric string", { maximumN: "180", lowPercent: 50, highPercent: 70 }, "/maximumN"],
  ["null for a number", { maximumN: null, lowPercent: 50, highPercent: 70 }, "/maximumN"],
  ["a key too many", { maximumN: 180, lowPercent: 50, highPercent: 70, unit: "N" }, "/unit"],
  ["a key too few", { maximumN: 180, lowPercent: 50 }, "/highPercent"],
  [
    "a number that is not finite",
    JSON.parse('{"maximumN":1e999,"lowPercent":50,"highPercent":70}'),
    "/maximumN",
  ],
];

it.each(refused)("refuses %s, naming the field", (_what, input, path) => {
  const calculation = findCalculation("effort-target");
  if (!calculation) throw new Error("effort-target is registered");
  const result = runCalculation(calculation, input);
  expect(result.ok).toBe(false);
  if (!result.ok) expect(result.problems.map((p) => p.path)).toContain(path);
});
