import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { paths } from "~tests/builders/calculated";
import { bend, fromTheFloor, shank, squat, standing } from "~tests/builders/standing-bodies";

describe("squat-linkage", () => {
  it("agrees with free bodies from the floor up, to 1e-9 of what they are", () => {
    let held = 0;
    fc.assert(
      fc.property(standing, bend, shank, (s, kneeFlexionDeg, shankInclinationDeg) => {
        const answer = squat({ ...s, kneeFlexionDeg, shankInclinationDeg });
        if (!answer.feasible) return;
        held += 1;
        const other = fromTheFloor(s, kneeFlexionDeg, shankInclinationDeg, answer.trunkLeanDeg);
        const near = (a: number, b: number) => expect(Math.abs(a - b)).toBeLessThan(1e-8 * (1 + Math.abs(b)));
        near(other.unbalanced, 0);
        near(answer.ankleMomentNm, other.ankle);
        near(answer.kneeMomentNm, other.knee);
        near(answer.hipMomentNm, other.hip);
      }),
      { numRuns: 600, seed: 17 },
    );
    expect(held).toBeGreaterThan(200);
  });

  // 80 kg, 1.80 m, two legs, bend 60°, shank 30°, pressure in the middle (6.84 cm ahead of the ankle).
  // Knee 0.4428 sin 30 = 0.2214; hip 0.2214 − 0.441 sin 30 = 0.0009. Above the foot 83.4 % of 80 = 77.68 kg with both legs
  // (2 × (3.72 + 8) + 54.24). First moments, kg·m: shanks 7.44 × 0.567 × 0.2214 = 0.93396; thighs
  // 16 × (0.0009 + 0.433 × 0.2205) = 1.54202. Wanted 77.68 × 0.0684 = 5.31331; left for the trunk 2.83733
  // = 54.24 × (0.0009 + 0.3245184 s), so s = 0.158426: lean 9.1154°.
  // Knee, one leg: 4.905 × ((77.68 − 7.44) × 0.2214 − (5.31331 − 0.93396)) = 54.797 N·m.
  // Hip, one leg: 4.905 × 54.24 × 0.3245184 × 0.158426 = 13.678 N·m. Ankle 4.905 × 5.31331 = 26.062 N·m.
  it("one pose by hand", () => {
    const answer = squat({
      bodyMassKg: 80,
      heightM: 1.8,
      stance: "double",
      kneeFlexionDeg: 60,
      shankInclinationDeg: 30,
    });
    expect(answer.trunkLeanDeg).toBeCloseTo(9.115, 2);
    expect(answer.kneeMomentNm).toBeCloseTo(54.797, 2);
    expect(answer.hipMomentNm).toBeCloseTo(13.678, 2);
    expect(answer.ankleMomentNm).toBeCloseTo(26.062, 2);
    // Hip 0.39 % of 1.8 m ankle height + 0.4428 cos 30 + 0.441 cos 30, in cm; toe 0.75 × 27.36 cm.
    expect(answer.hipHeightCm).toBeCloseTo(7.02 + 38.348 + 38.192, 2);
    expect(answer.kneePastToeCm).toBeCloseTo(22.14 - 20.52, 6);
    // At 60°: lever 0.03328 m, ratio 0.41196/0.43523, area 390 mm².
    expect(answer.patellofemoralForceN).toBeCloseTo((54.79766 / 0.03328) * (0.41196 / 0.435232), 1);
    expect(answer.patellofemoralStressMPa * 390).toBeCloseTo(answer.patellofemoralForceN, 6);
  });

  it("upright over the ankle nothing turns any joint", () => {
    const answer = squat({
      bodyMassKg: 70,
      heightM: 1.7,
      stance: "double",
      kneeFlexionDeg: 0,
      shankInclinationDeg: 0,
      pressurePoint: 0.25,
    });
    for (const moment of [answer.ankleMomentNm, answer.kneeMomentNm, answer.hipMomentNm])
      expect(moment).toBeCloseTo(0, 9);
    expect(answer.hipKneeRatio).toBeNull();
  });

  it("moments grow straight with mass and with height", () => {
    fc.assert(
      fc.property(standing, bend, shank, (s, kneeFlexionDeg, shankInclinationDeg) => {
        const pose = { kneeFlexionDeg, shankInclinationDeg };
        const bare = { ...s, barKg: 0, dumbbellsKg: 0, bodyMassKg: 60, heightM: 1 };
        const [one, heavy, tall] = [
          squat({ ...bare, ...pose }),
          squat({ ...bare, ...pose, bodyMassKg: 120 }),
          squat({ ...bare, ...pose, heightM: 2 }),
        ];
        expect([heavy.feasible, tall.feasible]).toEqual([one.feasible, one.feasible]);
        if (!one.feasible) return;
        for (const key of ["ankleMomentNm", "kneeMomentNm", "hipMomentNm"] as const) {
          expect(heavy[key]).toBeCloseTo(2 * one[key], 6);
          expect(tall[key]).toBeCloseTo(2 * one[key], 6);
        }
      }),
      { numRuns: 300, seed: 18 },
    );
  });

  it("the knee's moment hangs on shank and pressure alone: not on bend, arms, hands or free leg", () => {
    fc.assert(
      fc.property(standing, bend, bend, shank, (s, one, two, shankInclinationDeg) => {
        const a = squat({ ...s, kneeFlexionDeg: one, shankInclinationDeg });
        const b = squat({
          ...s,
          armsForward: !s.armsForward,
          freeLeg: "behind",
          kneeFlexionDeg: two,
          shankInclinationDeg,
        });
        if (a.feasible && b.feasible) expect(a.kneeMomentNm).toBeCloseTo(b.kneeMomentNm, 9);
      }),
      { numRuns: 500, seed: 19 },
    );
  });

  // Fry 2003, recalled: bar of one body weight, knee held behind the toe against free: knee 150 → 117, hip 28 → 303 N·m.
  // Its trunk and bar positions were measured, so direction, and 'a fifth to a third' at the knee, are what is asked.
  it("a knee kept behind the toe: knee moment down by a fifth to a third, hip moment up", () => {
    const athlete = { bodyMassKg: 80, heightM: 1.8, stance: "double", barKg: 80, kneeFlexionDeg: 105 };
    const free = squat({ ...athlete, shankInclinationDeg: 38 });
    const kept = squat({ ...athlete, shankInclinationDeg: 27.5 });
    expect([free.feasible, kept.feasible, free.kneePastToeCm > 0, kept.kneePastToeCm <= 0]).toEqual([
      true,
      true,
      true,
      true,
    ]);
    const fall = 1 - kept.kneeMomentNm / free.kneeMomentNm;
    expect(fall).toBeGreaterThan(0.2);
    expect(fall).toBeLessThan(0.35);
    expect(kept.hipMomentNm).toBeGreaterThan(free.hipMomentNm);
  });

  it("says which way somebody would fall", () => {
    const base = { bodyMassKg: 75, heightM: 1.75, stance: "double" };
    const back = squat({ ...base, kneeFlexionDeg: 110, shankInclinationDeg: 0 });
    expect(back.reason).toContain("backward");
    const front = squat({ ...base, kneeFlexionDeg: 5, shankInclinationDeg: 60, pressurePoint: 0 });
    expect(front.reason).toContain("forward");
  });

  it("holds the kneecap's figures beyond 90°, says so, and has none above 110°", () => {
    const at = (kneeFlexionDeg: number) =>
      squat({ bodyMassKg: 75, heightM: 1.75, stance: "double", kneeFlexionDeg, shankInclinationDeg: 40 });
    expect(at(90).extrapolated).toBe(false);
    expect(at(100)).toMatchObject({ extrapolated: true });
    expect(at(100).patellofemoralStressMPa).toBeCloseTo(at(90).patellofemoralStressMPa, 9);
    expect(at(110).patellofemoralForceN).toBeCloseTo(at(90).patellofemoralForceN, 9);
    expect(at(110.5)).toMatchObject({ patellofemoralForceN: null, patellofemoralStressMPa: null });
  });

  it("refuses what is out of range, unknown, missing or not a number, by name", () => {
    const good = {
      bodyMassKg: 75,
      heightM: 1.75,
      stance: "double",
      kneeFlexionDeg: 60,
      shankInclinationDeg: 20,
    };
    expect(paths("squat-linkage", good)).toEqual([]);
    for (const [field, bad] of [
      ["bodyMassKg", 19.9],
      ["bodyMassKg", 300.1],
      ["heightM", 0.99],
      ["heightM", "1.75"],
      ["kneeFlexionDeg", 150.1],
      ["shankInclinationDeg", -30.1],
      ["shankInclinationDeg", null],
      ["pressurePoint", 1.01],
      ["barKg", -1],
      ["dumbbellsKg", 501],
      ["stance", "split"],
      ["freeLeg", "up"],
      ["armsForward", "yes"],
      ["kneeTravel", 3],
    ] as const)
      expect(paths("squat-linkage", { ...good, [field]: bad })).toEqual([`/${field}`]);
    const { heightM: _, ...without } = good;
    expect(paths("squat-linkage", without)).toContain("/heightM");
  });
});

describe("the kneecap's curves (Salem & Powers, Brechter & Powers, Huberti & Hayes: shape, recalled)", () => {
  const stress = (kneeFlexionDeg: number) => {
    const { kneeMomentNm, patellofemoralStressMPa } = squat({
      bodyMassKg: 75,
      heightM: 1.75,
      stance: "double",
      kneeFlexionDeg,
      shankInclinationDeg: 3 + kneeFlexionDeg / 2.2,
      pressurePoint: 0.25,
    });
    return patellofemoralStressMPa / kneeMomentNm;
  };
  it("stress per newton-metre falls to one minimum near 23.5° and rises from there", () => {
    const samples = Array.from({ length: 901 }, (_, n) => ({ deg: n / 10, at: stress(n / 10) }));
    const least = samples.reduce((a, b) => (b.at < a.at ? b : a));
    expect(least.deg).toBeGreaterThan(22.5);
    expect(least.deg).toBeLessThan(24.5);
    for (const [n, { deg, at }] of samples.entries()) {
      const next = samples[n + 1];
      if (!next) continue;
      if (next.deg <= least.deg) expect(next.at).toBeLessThan(at);
      if (deg >= least.deg) expect(next.at).toBeGreaterThan(at);
    }
  });
  it.each([
    [0, 150],
    [20, 260],
    [25, 285],
    [30, 310],
    [60, 390],
    [75, 400],
    [90, 410],
  ])("at %d° the area is %d mm²", (kneeFlexionDeg, area) => {
    const { patellofemoralForceN: force, patellofemoralStressMPa: mpa } = squat({
      bodyMassKg: 75,
      heightM: 1.75,
      stance: "double",
      kneeFlexionDeg,
      shankInclinationDeg: 3 + kneeFlexionDeg / 2.2,
      pressurePoint: 0.25,
    });
    expect(force / mpa).toBeCloseTo(area, 6);
  });
});
