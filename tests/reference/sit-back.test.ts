import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { squatLinkage } from "~/core/mechanics/squat-linkage";
import { paths, value } from "~tests/builders/calculated";
import { bend, fromTheFloor, shank, sitBack, standing, type Held } from "~tests/builders/standing-bodies";

describe("sit-back", () => {
  const mpa = fc.double({ min: 0.5, max: 8, noNaN: true });
  const lean = fc.double({ min: 5, max: 90, noNaN: true });
  const fits = (answer: Held, ceiling: number, mostLean: number) =>
    answer.feasible &&
    answer.patellofemoralStressMPa <= ceiling + 1e-9 &&
    answer.trunkLeanDeg >= -1e-6 &&
    answer.trunkLeanDeg <= mostLean + 1e-6;

  it("finds what walking down the shank by hundredths of a degree finds", () => {
    let found = 0;
    fc.assert(
      fc.property(standing, bend, mpa, lean, (s, kneeFlexionDeg, maxStressMPa, maxTrunkLeanDeg) => {
        const answer = sitBack({ ...s, kneeFlexionDeg, maxStressMPa, maxTrunkLeanDeg });
        let best: number | null = null;
        for (let n = 6_000; n >= -3_000 && best === null; n -= 1)
          if (
            fits(
              squatLinkage({ ...s, kneeFlexionDeg, shankInclinationDeg: n / 100 }) as Held,
              maxStressMPa,
              maxTrunkLeanDeg,
            )
          )
            best = n / 100;
        if (best === null) {
          // A window narrower than the walk's step is the only thing it may have missed.
          if (answer.feasible) expect(fits(answer, maxStressMPa, maxTrunkLeanDeg)).toBe(true);
          else expect(answer.reason).toMatch(/backward|forward|lean/);
          return;
        }
        found += 1;
        expect(fits(answer, maxStressMPa, maxTrunkLeanDeg)).toBe(true);
        expect(answer.shankInclinationDeg).toBeGreaterThanOrEqual(best - 0.001);
        expect(answer.shankInclinationDeg).toBeLessThan(best + 0.011);
      }),
      { numRuns: 60, seed: 20 },
    );
    expect(found).toBeGreaterThan(20);
  });

  it("under a ceiling on the shank it is that, or less where balance asks; a loose one gives the upright trunk", () => {
    const base = { bodyMassKg: 80, heightM: 1.8, stance: "double", kneeFlexionDeg: 60 };
    expect(sitBack({ ...base, maxShankInclinationDeg: 25 }).shankInclinationDeg).toBe(25);
    const loose = sitBack({ ...base, maxShankInclinationDeg: 60 });
    expect(loose.trunkLeanDeg).toBeCloseTo(0, 6);
    expect(loose.shankInclinationDeg).toBeLessThan(60);
    expect(sitBack({ ...base, maxShankInclinationDeg: 5 }).reason).toContain("backward");
    expect(sitBack({ ...base, maxShankInclinationDeg: 20, maxTrunkLeanDeg: 30 }).reason).toContain("lean");
    expect(sitBack({ ...base, maxShankInclinationDeg: 60, maxTrunkLeanDeg: 0 }).trunkLeanDeg).toBe(0);
  });

  it("refuses both ceilings, none, and a stress beyond 110° of bend", () => {
    const base = { bodyMassKg: 80, heightM: 1.8, stance: "double", kneeFlexionDeg: 60 };
    expect(paths("sit-back", { ...base, maxStressMPa: 3, maxShankInclinationDeg: 20 })).toHaveLength(1);
    expect(paths("sit-back", base)).toHaveLength(1);
    expect(paths("sit-back", { ...base, kneeFlexionDeg: 111, maxStressMPa: 3 })).toEqual(["/kneeFlexionDeg"]);
    expect(paths("sit-back", { ...base, kneeFlexionDeg: 111, maxShankInclinationDeg: 30 })).toEqual([]);
    expect(paths("sit-back", { ...base, maxStressMPa: 0 })).toEqual(["/maxStressMPa"]);
    expect(paths("sit-back", { ...base, maxStressMPa: 50.1 })).toEqual(["/maxStressMPa"]);
  });
});

describe("allowed-bend", () => {
  it("is the band of bends whose stress stays under the ceiling, to a hundredth of a degree", () => {
    const kinds = { none: 0, all: 0, fromZero: 0, band: 0 };
    fc.assert(
      fc.property(standing, shank, fc.double({ min: 0.3, max: 6, noNaN: true }), (s, deg, maxStressMPa) => {
        const { intervals } = value<{ intervals: [number, number][] }>("allowed-bend", {
          ...s,
          shankInclinationDeg: deg,
          maxStressMPa,
        });
        // The knee's moment from the floor up; the free lean plays no part in it.
        const { knee } = fromTheFloor(s, 30, deg, 0);
        const moment = Math.max(0, knee);
        const under = Array.from({ length: 9_001 }, (_, n) => n / 100).filter(
          (at) => referenceStress(at) * moment <= maxStressMPa,
        );
        const [interval] = intervals;
        if (!interval) {
          kinds.none += 1;
          expect(under.length).toBeLessThan(2);
          return;
        }
        kinds[interval[0] > 0 ? "band" : interval[1] < 90 ? "fromZero" : "all"] += 1;
        expect(Math.abs(interval[0] - (under[0] ?? NaN))).toBeLessThan(0.011);
        expect(Math.abs(interval[1] - (under[under.length - 1] ?? NaN))).toBeLessThan(0.011);
      }),
      { numRuns: 200, seed: 21 },
    );
    for (const count of Object.values(kinds)) expect(count).toBeGreaterThan(4);
  });
});

/** Stress per newton-metre as the papers are recalled, written a second time. */
function referenceStress(x: number): number {
  const lever = 0.046 + x * (2.8e-4 + x * (-1.3e-5 + x * 8e-8));
  const ratio = (0.462 + x * (0.00147 - x * 3.84e-5)) / (1 + x * (-0.0162 + x * (1.55e-4 - x * 6.98e-7)));
  const area =
    x <= 20 ? 150 + 5.5 * x : x <= 30 ? 160 + 5 * x : x <= 60 ? 230 + (8 / 3) * x : 350 + (2 / 3) * x;
  return ratio / lever / area;
}
