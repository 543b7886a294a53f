import { describe, expect, it } from "vitest";
import { thresholdValue } from "./threshold-value";
import { typedSymmetry } from "./typed-symmetry";

const sides = (left: number | null, right: number | null, none: number | null = null) => ({
  left,
  right,
  none,
});

describe("values as they are typed", () => {
  const force = { sides: "each", better: "higher" } as const;
  const time = { sides: "each", better: "lower" } as const;
  it.each([
    [force, sides(90, 100), "left", { kind: "index", lsiPercent: 90 }],
    [force, sides(100, 90), "right", { kind: "index", lsiPercent: 90 }],
    [time, sides(100, 80), "left", { kind: "index", lsiPercent: 80 }],
    [force, sides(90, null), "left", { kind: "needs-the-other-side" }],
    [force, sides(null, 90), "left", { kind: "needs-the-other-side" }],
    [force, sides(90, 0), "left", { kind: "other-side-is-zero" }],
    [force, sides(0, 90), "left", { kind: "index", lsiPercent: 0 }],
    [time, sides(0, 90), "left", { kind: "other-side-is-zero" }],
    [force, sides(90, 80), "both", { kind: "both-sides-injured" }],
    [{ sides: "none", better: "higher" } as const, sides(null, null, 7), "left", { kind: "value", value: 7 }],
    [{ sides: "none", better: "higher" } as const, sides(null, null), "left", { kind: "nothing" }],
  ] as const)("%j, %j, %s", (measure, values, involved, reading) => {
    expect(typedSymmetry(measure, values, involved)).toEqual(reading);
  });
});

describe("a threshold beside values", () => {
  it.each([
    [{ value: 90, side: "uninvolved-share" }, "higher", 200, 180],
    [{ value: 90, side: "uninvolved-share" }, "lower", 9, 10],
    [{ value: 90, side: "uninvolved-share" }, "higher", undefined, null],
    [{ value: 2, side: "value" }, "lower", undefined, 2],
  ] as const)("%j, better %s, other side %s: %s", (threshold, better, uninvolved, value) => {
    expect(thresholdValue(threshold, better, uninvolved)).toBe(value);
  });
});
