import fc from "fast-check";
import { expect, it } from "vitest";
import { limbSymmetry } from "./limb-symmetry";

/** Worked by hand; the ratio is the definition (Noyes 1991, recalled). */
it.each([
  ["hop 120 cm against 150 cm", { involved: 120, uninvolved: 150, better: "higher" }, 80],
  ["timed hop 2.4 s against 1.8 s: lower is better", { involved: 2.4, uninvolved: 1.8, better: "lower" }, 75],
  ["nothing at all on the involved side", { involved: 0, uninvolved: 150, better: "higher" }, 0],
  ["better than the other side", { involved: 110, uninvolved: 100, better: "higher" }, 110],
] as const)("%s", (_what, input, percent) => {
  expect(limbSymmetry(input).lsiPercent).toBeCloseTo(percent, 10);
});

it("does not divide by zero, whichever side divides", () => {
  expect(() => limbSymmetry({ involved: 5, uninvolved: 0, better: "higher" })).toThrow(RangeError);
  expect(() => limbSymmetry({ involved: 0, uninvolved: 5, better: "lower" })).toThrow(RangeError);
});

it("swapping the sides gives the reciprocal", () => {
  const value = fc.double({ min: 0.1, max: 5000, noNaN: true });
  fc.assert(
    fc.property(value, value, fc.constantFrom("higher" as const, "lower" as const), (a, b, better) => {
      const one = limbSymmetry({ involved: a, uninvolved: b, better }).lsiPercent;
      const other = limbSymmetry({ involved: b, uninvolved: a, better }).lsiPercent;
      expect((one * other) / 10_000).toBeCloseTo(1, 9);
    }),
  );
});
