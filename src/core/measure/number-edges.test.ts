import { describe, expect, it } from "vitest";
import { chairStandNorm } from "./chair-stand-norm";
import { criterionProbability, errorVerdict } from "./criterion-probability";
import { normalCdf } from "./normal-cdf";
import { trialSummary } from "./trial-summary";
import { trunkEnduranceMeans, trunkEnduranceRatios } from "./trunk-endurance-ratios";
import { typedSymmetry } from "./typed-symmetry";

describe("numbers at their edges", () => {
  it("a value at its threshold passes either way; 95 % decides whether that is sure", () => {
    const at = { value: 90, threshold: 90, sem: 4 };
    expect(criterionProbability({ ...at, comparison: ">=" }).verdict).toBe("met-within-error");
    expect(criterionProbability({ ...at, comparison: "<=" }).verdict).toBe("met-within-error");
    expect([errorVerdict(true, 0.95), errorVerdict(true, 0.9499)]).toEqual(["met", "met-within-error"]);
    expect([errorVerdict(false, 0.05), errorVerdict(false, 0.0501)]).toEqual([
      "not-met",
      "not-met-within-error",
    ]);
  });

  it("scatter: 10 % asks for no repeat, more does; a mean of zero or below has none", () => {
    const of = (...trials: number[]) => trialSummary({ trials, summary: "mean", better: "higher" });
    // Mean 100, standard deviation 10 exactly, then a hair more.
    expect(of(90, 100, 110)).toMatchObject({ cvPercent: 10, repeat: false, sd: 10 });
    expect(of(89.9, 100, 110.1).repeat).toBe(true);
    expect(of(-10, 10)).toMatchObject({ mean: 0, cvPercent: null, repeat: false });
    expect(of(0.5, 1.5)).toMatchObject({ mean: 1, repeat: true });
    expect(of(7)).toMatchObject({ sd: null, cvPercent: null, repeat: false });
  });

  it("trunk endurance: every ratio and share by hand (means: McGill 1999, recalled)", () => {
    expect(trunkEnduranceRatios({ backS: 200, frontS: 100, rightS: 80, leftS: 50, sex: "female" })).toEqual({
      frontToBack: 0.5,
      rightToLeft: 1.6,
      rightToBack: 0.4,
      leftToBack: 0.25,
      sidesDifferPercent: 37.5,
      backOfMeanPercent: (200 / 189) * 100,
      frontOfMeanPercent: (100 / 149) * 100,
      rightOfMeanPercent: (80 / 72) * 100,
      leftOfMeanPercent: (50 / 77) * 100,
    });
    expect(trunkEnduranceMeans.male).toEqual({ backS: 146, frontS: 144, rightS: 94, leftS: 97 });
  });

  it("the far tails of the normal curve, where the series ends, join it (Abramowitz & Stegun 26.2)", () => {
    expect(normalCdf(-6) / 9.865876e-10).toBeCloseTo(1, 5);
    expect(normalCdf(-40)).toBe(0);
    expect(normalCdf(40)).toBe(1);
    expect(normalCdf(0)).toBeCloseTo(0.5, 12);
    expect(normalCdf(1)).toBeCloseTo(0.841344746068543, 10);
  });

  it("nobody has a norm for a chair stand outside the ages that were studied", () => {
    const norm = (age: number) => chairStandNorm({ age, sex: "female", stands: 10 } as never);
    expect(() => norm(59)).toThrow();
    expect(() => norm(95)).toThrow();
    expect(norm(94)).toBeDefined();
    expect(norm(60)).toBeDefined();
  });

  it("typed values of two hurt sides have no index; nothing typed is nothing", () => {
    const values = { left: 90, right: 100, none: null };
    expect(typedSymmetry({ sides: "each", better: "higher" }, values, "both").kind).toBe(
      "both-sides-injured",
    );
    expect(typedSymmetry({ sides: "each", better: "higher" }, values, "right")).toEqual({
      kind: "index",
      lsiPercent: (100 / 90) * 100,
    });
    expect(typedSymmetry({ sides: "none", better: "higher" }, values, "left").kind).toBe("nothing");
  });
});
