import fc from "fast-check";
import jStat from "jstat";
import { describe, expect, it } from "vitest";
import { startingMeasures } from "~/catalogue/measures/all";
import { check } from "~/core/schema/check";
import { Measure } from "~/core/measure/measure";
import { minimalDetectableChange, standardError } from "~/core/measure/minimal-detectable-change";
import { normalCdf } from "~/core/measure/normal-cdf";
import { paths, value } from "~tests/builders/calculated";
import { seeded } from "~demo/identity";

describe("Φ against a statistics library", () => {
  it.each([-9, -6, -4.2, -4, -3.9, -1.96, -0.3, 0, 0.5, 1, 1.6448536269514722, 2.5758, 3.999, 4.001, 7])(
    "x = %d",
    (x) => {
      expect(normalCdf(x)).toBeCloseTo(jStat.normal.cdf(x, 0, 1), 12);
    },
  );
  it("in the far tail as tabulated (Abramowitz & Stegun 26.2: Q(5) = 2.866516e-7, Q(6) = 9.865876e-10)", () => {
    expect(normalCdf(-5) / 2.866515719e-7).toBeCloseTo(1, 8);
    expect(normalCdf(-6) / 9.86587645e-10).toBeCloseTo(1, 8);
  });
  it("rises, and Φ(−x) = 1 − Φ(x)", () => {
    const x = fc.double({ min: -8, max: 8, noNaN: true });
    fc.assert(
      fc.property(x, x, (a, b) => {
        expect(normalCdf(-a)).toBeCloseTo(1 - normalCdf(a), 13);
        if (a < b) expect(normalCdf(a)).toBeLessThanOrEqual(normalCdf(b));
      }),
    );
  });
});

describe("detectable change", () => {
  it("is 1.96 √2 SEM, and a change of exactly that is not real", () => {
    const { mdc95 } = value("minimal-detectable-change", { sem: 5 });
    expect(mdc95).toBeCloseTo(13.8593, 4);
    expect(value("real-change", { before: 0, after: mdc95, sem: 5 })).toMatchObject({ real: false });
    expect(value("real-change", { before: 0, after: -14, sem: 5 })).toMatchObject({
      change: -14,
      real: true,
    });
  });
  it("a published 90 % figure is taken back at 90 %, so that its MDC95 is 1.96/1.645 as large", () => {
    const source = { kind: "published", cite: "Reid 2007", recalled: true } as const;
    const sem = standardError({ of: "symmetry", kind: "mdc", amount: 8.09, confidencePercent: 90, source });
    expect(minimalDetectableChange({ sem }).mdc95).toBeCloseTo((8.09 * 1.96) / 1.645, 10);
    const at95 = standardError({ of: "symmetry", kind: "mdc", amount: 8.09, confidencePercent: 95, source });
    expect(minimalDetectableChange({ sem: at95 }).mdc95).toBeCloseTo(8.09, 10);
    expect(() => standardError({ of: "value", kind: "mdc", amount: 1, source })).toThrow(/confidence/);
  });
  it.each([0, -1, "5", null])("refuses a standard error of %j", (sem) =>
    expect(paths("minimal-detectable-change", { sem })).toContain("/sem"),
  );
});

describe("symmetry by worked example", () => {
  it("80 of 100 N is 80 %; 2.5 against 2 s is 80 %; nothing against something is a valid 0 %", () => {
    expect(value("limb-symmetry", { involved: 80, uninvolved: 100, better: "higher" })).toEqual({
      lsiPercent: 80,
    });
    expect(value("limb-symmetry", { involved: 2.5, uninvolved: 2, better: "lower" })).toEqual({
      lsiPercent: 80,
    });
    expect(value("limb-symmetry", { involved: 0, uninvolved: 100, better: "higher" })).toEqual({
      lsiPercent: 0,
    });
  });
  it("against the early value it is lower when the other side has weakened (Wellsandt 2017, recalled)", () => {
    expect(value("early-reference", { involvedNow: 180, uninvolvedFirst: 225, better: "higher" })).toEqual({
      percent: 80,
    });
    expect(value("limb-symmetry", { involved: 180, uninvolved: 200, better: "higher" })).toEqual({
      lsiPercent: 90,
    });
    expect(paths("early-reference", { involvedNow: 180, uninvolvedFirst: 0, better: "higher" })).toEqual([
      "/uninvolvedFirst",
    ]);
  });
  it("swapping the sides gives the reciprocal", () => {
    const side = fc.double({ min: 0.1, max: 2000, noNaN: true });
    fc.assert(
      fc.property(side, side, fc.constantFrom("higher", "lower"), (a, b, better) => {
        const one = value("limb-symmetry", { involved: a, uninvolved: b, better })["lsiPercent"] ?? 0;
        const two = value("limb-symmetry", { involved: b, uninvolved: a, better })["lsiPercent"] ?? 0;
        expect((one * two) / 10_000).toBeCloseTo(1, 9);
      }),
    );
  });
});

describe("is it met, or only within error", () => {
  const verdict = (v: number, comparison = ">=") =>
    value<{ verdict: string }>("criterion-probability", { value: v, threshold: 90, comparison, sem: 4 })
      .verdict;
  it("by the distance from the threshold in standard errors: 1.645 decides", () => {
    expect(verdict(90 + 4 * 1.6449)).toBe("met");
    expect(verdict(90 + 4 * 1.64)).toBe("met-within-error");
    expect(verdict(90)).toBe("met-within-error");
    expect(verdict(89.9)).toBe("not-met-within-error");
    expect(verdict(90 - 4 * 1.6449)).toBe("not-met");
    expect(verdict(90 - 4 * 1.6449, "<=")).toBe("met");
  });
  it("at the threshold the chance is one in two", () => {
    expect(
      value("criterion-probability", { value: 90, threshold: 90, comparison: "<=", sem: 4 })["probability"],
    ).toBe(0.5);
  });
  it("the index's probability and interval as defined", () => {
    const result = value("lsi-probability", {
      involved: 270,
      uninvolved: 300,
      semInvolved: 12,
      semUninvolved: 12,
      thresholdPercent: 85,
      better: "higher",
    });
    expect(result["lsiPercent"]).toBeCloseTo(90, 10);
    expect(result["probability"]).toBeCloseTo(jStat.normal.cdf(15 / Math.sqrt(144 + 0.7225 * 144), 0, 1), 12);
    const half = 1.96 * 90 * Math.sqrt((12 / 270) ** 2 + (12 / 300) ** 2);
    expect([result["low95"], result["high95"]]).toEqual([
      expect.closeTo(90 - half, 9),
      expect.closeTo(90 + half, 9),
    ]);
  });
  it("for times the quicker side is on top", () => {
    const times = { semInvolved: 0.05, semUninvolved: 0.05, thresholdPercent: 90, better: "lower" };
    expect(value("lsi-probability", { involved: 2.5, uninvolved: 2, ...times })["lsiPercent"]).toBeCloseTo(
      80,
      10,
    );
  });
  it("in 10 000 seeded draws: probability as often as it says, the 95 % interval covers in 93–97 %", () => {
    const random = seeded(20_070_613);
    const normal = (mean: number, sd: number) =>
      jStat.normal.inv(Math.min(1 - 1e-12, Math.max(1e-12, random())), mean, sd);
    const truth = { involved: 270, uninvolved: 300, sem: 9 };
    let [covered, passes] = [0, 0];
    for (let n = 0; n < 10_000; n += 1) {
      const measured = {
        involved: normal(truth.involved, truth.sem),
        uninvolved: normal(truth.uninvolved, truth.sem),
        semInvolved: truth.sem,
        semUninvolved: truth.sem,
        thresholdPercent: 92,
        better: "higher",
      };
      const { low95 = 0, high95 = 0, lsiPercent = 0 } = value("lsi-probability", measured);
      if (low95 <= 90 && 90 <= high95) covered += 1;
      if (lsiPercent >= 92) passes += 1;
    }
    expect(covered / 10_000).toBeGreaterThan(0.93);
    expect(covered / 10_000).toBeLessThan(0.97);
    const said = value("lsi-probability", {
      involved: 270,
      uninvolved: 300,
      semInvolved: 9,
      semUninvolved: 9,
      thresholdPercent: 92,
      better: "higher",
    })["probability"];
    expect(passes / 10_000).toBeCloseTo(said ?? 0, 1);
  });
});

describe("composites, mechanics, trials", () => {
  it("reach: (60 + 95 + 90) of three legs of 90 cm is 90.74 % (Plisky 2006's formula)", () => {
    const reach = { anteriorCm: 60, posteromedialCm: 95, posterolateralCm: 90, legLengthCm: 90 };
    expect(value("reach-composite", reach)["compositePercent"]).toBeCloseTo(90.7407, 4);
  });
  it("torque: 300 N at 0.35 m is 105 N·m, 1.5 N·m/kg at 70 kg", () => {
    const { torqueNm, torqueNmPerKg } = value("torque", { forceN: 300, leverM: 0.35, bodyMassKg: 70 });
    expect([torqueNm, torqueNmPerKg]).toEqual([expect.closeTo(105, 10), expect.closeTo(1.5, 10)]);
  });
  it("flight of half a second is 30.7 cm: g·t²/8 with g = 9.81", () => {
    expect(value("jump-height", { flightSeconds: 0.5 })["heightM"]).toBeCloseTo(0.30656, 5);
    expect(paths("jump-height", { flightSeconds: 1.6 })).toEqual(["/flightSeconds"]);
  });
  it("trials: standard deviation with n − 1 as the library has it; one trial has none", () => {
    const trials = [180, 190, 200, 231];
    const summary = value<Record<string, number | boolean | null>>("trial-summary", {
      trials,
      summary: "best",
      better: "higher",
    });
    expect(summary).toMatchObject({ value: 231, count: 4, repeat: true });
    expect(summary["sd"]).toBeCloseTo(jStat.stdev(trials, true), 10);
    expect(value("trial-summary", { trials: [180], summary: "mean", better: "higher" })).toMatchObject({
      value: 180,
      sd: null,
      cvPercent: null,
      repeat: false,
    });
    expect(value("trial-summary", { trials: [3, 1], summary: "worst", better: "lower" })["value"]).toBe(3);
  });
});

describe("the catalogue of measures", () => {
  it.each(startingMeasures.map((measure) => [measure.code, measure] as const))(
    "%s is whole and sound",
    (_code, measure) => {
      expect(check(Measure, JSON.parse(JSON.stringify(measure)))).toMatchObject({ ok: true });
      const { plausible, usual, grades, errors = [] } = measure;
      expect(plausible.low).toBeLessThan(plausible.high);
      if (usual) expect(usual.low >= plausible.low && usual.high <= plausible.high).toBe(true);
      if (grades) expect(plausible).toEqual({ low: 0, high: grades.length - 1 });
      for (const error of errors) expect(standardError(error)).toBeGreaterThan(0);
      expect(measure.group).toBeDefined();
    },
  );
  it("names every measure once", () => {
    expect(new Set(startingMeasures.map((m) => m.code)).size).toBe(startingMeasures.length);
    expect(new Set(startingMeasures.map((m) => m.name)).size).toBe(startingMeasures.length);
  });
});
