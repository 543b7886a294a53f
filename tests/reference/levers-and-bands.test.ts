import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { number, paths, value } from "~tests/builders/calculated";

describe("box-height and kneeling-lowering", () => {
  it("are the two-link formula and the lever of the body, by hand", () => {
    // 1.75 m: ankle 6.825, shank 43.05, thigh 42.875 cm; 90° with the shank 20° forward: thigh at 70° from upright.
    const asked = { heightM: 1.75, kneeFlexionDeg: 90, shankInclinationDeg: 20 };
    const hipHeightCm = number("box-height", asked, "hipHeightCm");
    expect(hipHeightCm).toBeCloseTo(6.825 + 43.05 * 0.9396926 + 42.875 * 0.3420201, 4);
    expect(hipHeightCm - number("box-height", asked, "boxCm")).toBeCloseTo(7, 9);
    const measured = value("box-height", {
      heightM: 1.75,
      kneeFlexionDeg: 90,
      shankInclinationDeg: 0,
      shankM: 0.4,
      thighM: 0.5,
      seatOffsetCm: 10,
    });
    expect(measured).toEqual({ hipHeightCm: expect.closeTo(46.825, 9), boxCm: expect.closeTo(36.825, 9) });
    // 80 kg, 1.8 m level: thighs 16 × 0.567 × 0.441 + 54.24 × (0.441 + 0.626 × 0.5184) kg·m, half of it × 9.81.
    const moment = (9.81 * (16 * 0.567 * 0.441 + 54.24 * (0.441 + 0.3245184))) / 2;
    const at = (forwardAngleDeg: number) =>
      number("kneeling-lowering", { bodyMassKg: 80, heightM: 1.8, forwardAngleDeg }, "kneeFlexorMomentNm");
    expect(at(90)).toBeCloseTo(moment, 6);
    expect(at(30)).toBeCloseTo(moment / 2, 6);
  });
  it("a taller person gets a taller box", () => {
    const box = (heightM: number) =>
      number("box-height", { heightM, kneeFlexionDeg: 90, shankInclinationDeg: 25 }, "boxCm");
    expect(box(1.95)).toBeGreaterThan(box(1.6) + 5);
  });
});

describe("band-force", () => {
  const band = (calibration: readonly (readonly [number, number])[], stretchCm: number) =>
    number(
      "band-force",
      { calibration: calibration.map(([cm, forceN]) => ({ stretchCm: cm, forceN })), stretchCm },
      "forceN",
    );

  // Secants 2, 1, 0.5; inner slopes by the harmonic mean: equal steps of 10 give 2·2·1/3 = 4/3 and 2·1·0.5/1.5 = 2/3; the
  // ends (3δ₁ − δ₂)/2 = 2.5 and (3·0.5 − 1)/2 = 0.25. Half-way: mean of the ends + step × difference of the slopes ÷ 8.
  it("half-way between measurements, by hand", () => {
    const points = [
      [0, 0],
      [10, 20],
      [20, 30],
      [30, 35],
    ] as const;
    expect(band(points, 5)).toBeCloseTo(10 + (10 * (2.5 - 4 / 3)) / 8, 9);
    expect(band(points, 15)).toBeCloseTo(25 + (10 * (4 / 3 - 2 / 3)) / 8, 9);
    expect(band(points, 25)).toBeCloseTo(32.5 + (10 * (2 / 3 - 0.25)) / 8, 9);
  });
  it("uneven steps: the longer neighbour's weight, by hand", () => {
    // h 10 and 30, secants 3 and 1: w₁ 70, w₂ 50; 120 ÷ (70/3 + 50) = 1.636…; the first end (50·3 − 10·1)/40 = 3.5.
    const inner = 120 / (70 / 3 + 50);
    const points = [
      [0, 0],
      [10, 30],
      [40, 60],
    ] as const;
    expect(band(points, 5)).toBeCloseTo(15 + (10 * (3.5 - inner)) / 8, 9);
    // The last end counts from itself: ((60 + 10)·1 − 30·3)/40 < 0 turns round, so it is flat.
    expect(band(points, 25)).toBeCloseTo(45 + (30 * (inner - 0)) / 8, 9);
  });
  it("goes through every measurement and never falls, whatever was measured", () => {
    const steps = fc.array(
      fc.record({ cm: fc.integer({ min: 1, max: 40 }), n: fc.integer({ min: 0, max: 60 }) }),
      {
        minLength: 3,
        maxLength: 12,
      },
    );
    fc.assert(
      fc.property(steps, (made) => {
        let [cm, n] = [0, 0];
        const points = made.map((step) => [(cm += step.cm), (n += step.n)] as const);
        for (const [at, force] of points) expect(band(points, at)).toBeCloseTo(force, 9);
        const all = points.map(([at]) => at);
        const [first, last] = [Math.min(...all), Math.max(...all)];
        let before = -Infinity;
        for (let k = 0; k <= 200; k += 1) {
          const force = band(points, Math.min(last, first + ((last - first) * k) / 200));
          expect(force).toBeGreaterThanOrEqual(before - 1e-9);
          before = force;
        }
      }),
      { numRuns: 200, seed: 23 },
    );
  });
  it("refuses a band that pulls less when longer, two measurements at one stretch, and a guess beyond them", () => {
    const points = [
      { stretchCm: 0, forceN: 0 },
      { stretchCm: 20, forceN: 30 },
      { stretchCm: 40, forceN: 50 },
    ];
    const at = (n: number, over: object, stretchCm = 10) =>
      paths("band-force", {
        calibration: points.map((point, m) => (m === n ? { ...point, ...over } : point)),
        stretchCm,
      });
    expect(at(-1, {})).toEqual([]);
    expect(at(1, { forceN: 60 })).toEqual(["/calibration/2/forceN"]);
    expect(at(1, { stretchCm: 0 })).toEqual(["/calibration/1/stretchCm"]);
    expect(at(-1, {}, 40.1)).toEqual(["/stretchCm"]);
    expect(at(-1, {}, -0.1)).toEqual(["/stretchCm"]);
    expect(at(1, { forceN: 5000 })).toEqual(["/calibration/1/forceN"]);
    expect(paths("band-force", { calibration: points.slice(1), stretchCm: 30 })).toEqual(["/calibration"]);
  });
});

describe("isolated-moment", () => {
  it("is hardest with the shank level, by hand; and falls with the cosine", () => {
    const base = { bodyMassKg: 80, heightM: 1.8, movement: "knee-extension-sitting" };
    // 3.72 kg × 0.433 × 0.4428 m + 1.16 kg × 0.4428 m = 1.22689 kg·m; 5 kg at the ankle 2.214 more.
    expect(value("isolated-moment", { ...base, kneeFlexionDeg: 0 }).momentNm).toBeCloseTo(9.81 * 1.226892, 3);
    expect(value("isolated-moment", { ...base, kneeFlexionDeg: 60, weightKg: 5 }).momentNm).toBeCloseTo(
      (9.81 * (1.226892 + 2.214)) / 2,
      3,
    );
    expect(
      value("isolated-moment", { ...base, kneeFlexionDeg: 0, weightKg: 5, weightAtM: 0.2 }).momentNm,
    ).toBeCloseTo(9.81 * (1.226892 + 1), 3);
    const lying = { bodyMassKg: 80, heightM: 1.8, movement: "side-lying-lift", abductionDeg: 0 };
    // 12.88 kg × 0.447 × 0.8838 m = 5.08829 kg·m; 2 kg at the ankle 1.7676 more.
    expect(value("isolated-moment", lying).momentNm).toBeCloseTo(9.81 * 5.08829, 2);
    expect(value("isolated-moment", { ...lying, weightKg: 2 }).momentNm).toBeCloseTo(9.81 * 6.85589, 2);
  });
  it("each movement has its own angle", () => {
    const base = { bodyMassKg: 80, heightM: 1.8 };
    expect(paths("isolated-moment", { ...base, movement: "side-lying-lift", kneeFlexionDeg: 20 })).toEqual([
      "/abductionDeg",
      "/kneeFlexionDeg",
    ]);
    expect(
      paths("isolated-moment", { ...base, movement: "knee-extension-sitting", kneeFlexionDeg: 91 }),
    ).toEqual(["/kneeFlexionDeg"]);
    expect(paths("isolated-moment", { ...base, movement: "side-lying-lift", abductionDeg: 61 })).toEqual([
      "/abductionDeg",
    ]);
    expect(paths("isolated-moment", { ...base, movement: "curl" })).toEqual(["/movement"]);
  });
});
