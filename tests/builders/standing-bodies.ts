import fc from "fast-check";
import { value } from "./calculated";

/** A squat as it is answered; a stress above 110 degrees of bend is null. */
export interface Held {
  feasible: boolean;
  reason: string;
  trunkLeanDeg: number;
  ankleMomentNm: number;
  kneeMomentNm: number;
  hipMomentNm: number;
  hipKneeRatio: number | null;
  kneePastToeCm: number;
  hipHeightCm: number;
  patellofemoralForceN: number;
  patellofemoralStressMPa: number;
  extrapolated: boolean;
  shankInclinationDeg: number;
}
export const squat = (input: object) => value<Held>("squat-linkage", input);
export const sitBack = (input: object) => value<Held>("sit-back", input);

export const sin = (deg: number) => Math.sin((deg * Math.PI) / 180);
export const cos = (deg: number) => Math.cos((deg * Math.PI) / 180);
export const g = 9.81;

export interface Standing {
  bodyMassKg: number;
  heightM: number;
  stance: "double" | "single";
  pressurePoint: number;
  barKg: number;
  dumbbellsKg: number;
  armsForward: boolean;
  freeLeg: "front" | "beside" | "behind";
}
export const standing: fc.Arbitrary<Standing> = fc.record({
  bodyMassKg: fc.integer({ min: 35, max: 140 }),
  heightM: fc.double({ min: 1.3, max: 2.1, noNaN: true }),
  stance: fc.constantFrom("double", "single"),
  pressurePoint: fc.double({ min: 0, max: 1, noNaN: true }),
  barKg: fc.constantFrom(0, 20, 80),
  dumbbellsKg: fc.constantFrom(0, 10, 24),
  armsForward: fc.boolean(),
  freeLeg: fc.constantFrom("front", "beside", "behind"),
});
export const bend = fc.double({ min: 0, max: 110, noNaN: true });
export const shank = fc.double({ min: -10, max: 45, noNaN: true });

/**
 * A second reading of the same body, from the floor up: every weight as a point at the lean that was answered, the ground's
 * push at the pressure point, and each joint as what holds the free body *below* it in balance.
 */
export function fromTheFloor(s: Standing, kneeDeg: number, shankDeg: number, leanDeg: number) {
  const { bodyMassKg: M, heightM: H } = s;
  const n = s.stance === "double" ? 2 : 1;
  const [Ls, Lt] = [0.246 * H, 0.245 * H];
  const kneeX = Ls * sin(shankDeg);
  const hipX = kneeX - Lt * sin(kneeDeg - shankDeg);
  const shoulderX = hipX + 0.288 * H * sin(leanDeg);
  const arms = 2 * 0.05 * M;
  const [shankX, thighX] = [kneeX * (1 - 0.433), hipX + 0.433 * (kneeX - hipX)];
  const weights: [number, number][] = [
    [n * 0.0465 * M, shankX],
    [n * 0.1 * M, thighX],
    [0.678 * M, hipX + 0.626 * 0.288 * H * sin(leanDeg)],
    [s.barKg, shoulderX],
    [s.dumbbellsKg, shoulderX + (s.armsForward ? 0.44 * H : 0)],
  ];
  if (s.armsForward) {
    // Taken away where they hang along the trunk, put back level with the shoulder.
    weights.push([-arms, hipX + (0.288 * H - 0.53 * 0.332 * H) * sin(leanDeg)]);
    weights.push([arms, shoulderX + 0.53 * 0.332 * H]);
  }
  if (n === 1)
    weights.push([
      0.161 * M,
      hipX + 0.447 * 0.491 * H * sin({ front: 45, beside: 0, behind: -45 }[s.freeLeg]),
    ]);
  const push = (g * weights.reduce((sum, [kg]) => sum + kg, 0)) / n;
  const pressureX = (s.pressurePoint - 0.25) * 0.152 * H;
  const [shankN, thighN] = [g * 0.0465 * M, g * 0.1 * M];
  return {
    unbalanced: weights.reduce((sum, [kg, x]) => sum + kg * (x - pressureX), 0),
    ankle: push * pressureX,
    knee: push * (kneeX - pressureX) - shankN * (kneeX - shankX),
    hip: push * (pressureX - hipX) - shankN * (shankX - hipX) - thighN * (thighX - hipX),
  };
}
