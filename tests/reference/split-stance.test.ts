import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { value } from "~tests/builders/calculated";
import { cos, g, sin } from "~tests/builders/standing-bodies";

describe("split-stance", () => {
  interface Split {
    feasible: boolean;
    reason: string;
    frontShare: number;
    frontKneeMomentNm: number;
    frontHipMomentNm: number;
    rearKneeFlexionDeg: number;
    kneePastToeCm: number;
    hipHeightCm: number;
  }
  const split = (input: object) => value<Split>("split-stance", input);
  const person = { bodyMassKg: 80, heightM: 1.8, trunkLeanDeg: 10 };

  // A second road to the rear knee: turning the rear shank by hundredths of a degree until the thigh reaches the hip.
  it("agrees with free bodies, the rear knee found by turning the shank", () => {
    let held = 0;
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 1.2, noNaN: true }),
        fc.double({ min: 30, max: 100, noNaN: true }),
        fc.double({ min: -10, max: 30, noNaN: true }),
        fc.double({ min: -10, max: 45, noNaN: true }),
        fc.constantFrom(0, 40),
        (stanceLengthM, kneeFlexionDeg, shankInclinationDeg, trunkLeanDeg, barKg) => {
          const answer = split({
            ...person,
            stanceLengthM,
            kneeFlexionDeg,
            shankInclinationDeg,
            trunkLeanDeg,
            barKg,
          });
          if (!answer.feasible) return;
          held += 1;
          const H = 1.8;
          const [Ls, Lt] = [0.246 * H, 0.245 * H];
          const knee = [Ls * sin(shankInclinationDeg), Ls * cos(shankInclinationDeg)] as const;
          const hip = [
            knee[0] - Lt * sin(kneeFlexionDeg - shankInclinationDeg),
            knee[1] + Lt * cos(kneeFlexionDeg - shankInclinationDeg),
          ] as const;
          const ankle = [-stanceLengthM, 0.12 - 0.039 * H] as const;
          let rear = { off: Infinity, x: 0, y: 0 };
          for (let deg = -90; deg <= 180; deg += 0.01) {
            const [x, y] = [ankle[0] + Ls * sin(deg), ankle[1] + Ls * cos(deg)];
            const right = (hip[0] - ankle[0]) * (y - ankle[1]) - (hip[1] - ankle[1]) * (x - ankle[0]) <= 1e-9;
            const off = Math.abs(Math.hypot(hip[0] - x, hip[1] - y) - Lt);
            if (right && off < rear.off) rear = { off, x, y };
          }
          const M = 80;
          const [shankX, thighX] = [0.567 * knee[0], hip[0] + 0.433 * (knee[0] - hip[0])];
          const weights: [number, number][] = [
            [0.0465 * M, shankX],
            [0.1 * M, thighX],
            [0.0465 * M, rear.x + 0.433 * (ankle[0] - rear.x)],
            [0.1 * M, hip[0] + 0.433 * (rear.x - hip[0])],
            [0.678 * M, hip[0] + 0.626 * 0.288 * H * sin(trunkLeanDeg)],
            [barKg, hip[0] + 0.288 * H * sin(trunkLeanDeg)],
          ];
          const W = weights.reduce((sum, [kg]) => sum + kg, 0);
          const p = 0.25 * 0.152 * H;
          // Moments about the rear ball of the foot give the front push.
          const front =
            weights.reduce((sum, [kg, x]) => sum + kg * (x + stanceLengthM), 0) / (p + stanceLengthM);
          expect(answer.frontShare).toBeCloseTo(front / W, 3);
          expect(answer.frontKneeMomentNm).toBeCloseTo(
            g * (front * (knee[0] - p) - 0.0465 * M * (knee[0] - shankX)),
            0,
          );
          expect(answer.frontHipMomentNm).toBeCloseTo(
            g * (front * (p - hip[0]) - 0.0465 * M * (shankX - hip[0]) - 0.1 * M * (thighX - hip[0])),
            0,
          );
          expect(answer.hipHeightCm).toBeCloseTo(100 * (hip[1] + 0.039 * H), 6);
        },
      ),
      { numRuns: 60, seed: 22 },
    );
    expect(held).toBeGreaterThan(15);
  });

  it("with one front leg a longer stance does not spare its knee; the upright shank it allows does", () => {
    const at = (stanceLengthM: number, shankInclinationDeg: number, kneeFlexionDeg: number) =>
      split({ ...person, stanceLengthM, shankInclinationDeg, kneeFlexionDeg });
    const [short, long, upright] = [at(0.6, 20, 80), at(0.8, 20, 80), at(0.8, 5, 80)];
    expect([short.feasible, long.feasible, upright.feasible]).toEqual([true, true, true]);
    expect(long.frontShare).toBeGreaterThan(short.frontShare);
    expect(long.frontKneeMomentNm).toBeGreaterThan(short.frontKneeMomentNm);
    expect(upright.frontKneeMomentNm).toBeLessThan(short.frontKneeMomentNm);
  });

  it("says reach, then floor, then balance", () => {
    const at = (over: object) =>
      split({ ...person, stanceLengthM: 0.8, kneeFlexionDeg: 70, shankInclinationDeg: 10, ...over }).reason;
    expect(at({ stanceLengthM: 1.8, kneeFlexionDeg: 0 })).toContain("reach");
    expect(at({ kneeFlexionDeg: 125, rearAnkleHeightM: 0 })).toMatch(/floor/);
    expect(at({ stanceLengthM: 0.3, kneeFlexionDeg: 20, trunkLeanDeg: 90, barKg: 200 })).toContain("forward");
    expect(
      at({ stanceLengthM: 0.2, kneeFlexionDeg: 80, shankInclinationDeg: -10, trunkLeanDeg: -30 }),
    ).toMatch(/backward/);
  });
});
