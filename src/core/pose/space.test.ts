import fc from "fast-check";
import { expect, it } from "vitest";
import { across, dot, size, unit, type Vec } from "./space";

const number = fc.double({ min: -3, max: 3, noNaN: true });
const vector = fc.tuple(number, number, number);

it("across is a unit vector at right angles, whatever is wanted, and towards it where that says anything", () => {
  fc.assert(
    fc.property(vector, vector, (line, wanted) => {
      fc.pre(size(line) > 0.01);
      const along = unit(line);
      const found = across(along, wanted);
      expect(size(found)).toBeCloseTo(1, 6);
      expect(dot(found, along)).toBeCloseTo(0, 6);
      expect(dot(found, wanted)).toBeGreaterThanOrEqual(-1e-8);
    }),
  );
});

it.each([[[1, 0, 0]], [[0, 1, 0]], [[0, 0, 1]], [unit([1, 1, 1])]] as [Vec][])(
  "along %j, wanted along it, there still is one",
  (along) => {
    for (const wanted of [along, [0, 0, 0] as Vec]) {
      expect(size(across(along, wanted))).toBeCloseTo(1, 12);
      expect(dot(across(along, wanted), along)).toBeCloseTo(0, 12);
    }
  },
);
