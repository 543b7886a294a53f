import { Type, type Static } from "@sinclair/typebox";
import { gravity } from "~/core/measure/jump-height";
import { limbFields, mechanicsFields, NotHeld } from "./linkage-input";
import { headArmsTrunk, jointsAt } from "./linkage-model";
import { winter } from "./segments";
import { fallWords } from "./squat-linkage";

export const SplitStanceInput = Type.Object(
  {
    bodyMassKg: mechanicsFields.bodyMassKg,
    heightM: mechanicsFields.heightM,
    ...limbFields,
    stanceLengthM: Type.Number({ minimum: 0.2, maximum: 1.8 }),
    kneeFlexionDeg: mechanicsFields.kneeFlexionDeg,
    shankInclinationDeg: mechanicsFields.shankInclinationDeg,
    trunkLeanDeg: Type.Number({ minimum: -30, maximum: 90 }),
    frontPressurePoint: Type.Optional(mechanicsFields.pressurePoint),
    rearAnkleHeightM: Type.Optional(Type.Number({ minimum: 0, maximum: 1 })),
    barKg: Type.Optional(mechanicsFields.barKg),
  },
  { additionalProperties: false },
);
export const SplitStanceOutput = Type.Union([
  Type.Object({
    feasible: Type.Literal(true),
    frontShare: Type.Number(),
    frontKneeMomentNm: Type.Number(),
    frontHipMomentNm: Type.Number(),
    rearKneeFlexionDeg: Type.Number(),
    kneePastToeCm: Type.Number(),
    hipHeightCm: Type.Number(),
  }),
  NotHeld,
]);

interface Point {
  readonly x: number;
  readonly y: number;
}
const radians = (deg: number) => (deg * Math.PI) / 180;
/** A point along a line, as a share of the way. */
const along = (from: Point, to: Point, share: number): Point => ({
  x: from.x + share * (to.x - from.x),
  y: from.y + share * (to.y - from.y),
});

/**
 * A split squat held still: how much the front leg carries, and the moments of its knee and hip, from the length of the
 * stance, the front leg and the trunk's lean. A longer stance spares the front knee because it lets the shank stand
 * upright; with one posture of the front leg it does not.
 *
 * @param input mass kg (20–300; bar 0–500), height m (1.0–2.4), stance m (0.2–1.8) from the front ankle to the rear ball
 *   of the foot, front knee 0–150°, front shank −30…60°, trunk −30…90° forward; rear ankle's height m (0–1, usually 0.12)
 * @returns unrounded results; or why the position cannot be held: reach, floor, or balance, in this order
 * @example splitStance({ bodyMassKg: 80, heightM: 1.8, stanceLengthM: 1.8, kneeFlexionDeg: 0, shankInclinationDeg: 0, trunkLeanDeg: 0 }).feasible // false
 * Source: statics with vertical ground forces; Winter 2009, recalled.
 */
export function splitStance(input: Static<typeof SplitStanceInput>): Static<typeof SplitStanceOutput> {
  const { bodyMassKg: mass, heightM: height, stanceLengthM, barKg = 0, rearAnkleHeightM = 0.12 } = input;
  const { length, mass: share, centre } = winter;
  const { shankM = length.shank * height, thighM = length.thigh * height } = input;
  const groundY = -length.ankleHeight * height;
  const front = jointsAt({ shankM, thighM }, input.kneeFlexionDeg, input.shankInclinationDeg);
  const rearAnkle: Point = { x: -stanceLengthM, y: rearAnkleHeightM + groundY };
  const rearKnee = rearKneeAt(rearAnkle, front.hip, shankM, thighM);
  if (!rearKnee)
    return { feasible: false, reason: "the rear leg does not reach: another stance length or height" };
  if (rearKnee.y < groundY)
    return {
      feasible: false,
      reason: "the rear knee would be below the floor: less bend or a longer stance",
    };

  const trunk = radians(input.trunkLeanDeg);
  const upTrunk = (metres: number) => front.hip.x + metres * Math.sin(trunk);
  const trunkM = length.trunk * height;
  const [shankKg, thighKg] = [share.shank * mass, share.thigh * mass];
  const [frontShank, frontThigh] = [
    along(front.knee, { x: 0, y: 0 }, centre.shank),
    along(front.hip, front.knee, centre.thigh),
  ];
  const weights: readonly (readonly [kg: number, x: number])[] = [
    [shankKg, frontShank.x],
    [thighKg, frontThigh.x],
    [shankKg, along(rearKnee, rearAnkle, centre.shank).x],
    [thighKg, along(front.hip, rearKnee, centre.thigh).x],
    [headArmsTrunk.mass * mass, upTrunk(headArmsTrunk.centre * trunkM)],
    [barKg, upTrunk(trunkM)],
  ];
  const carriedKg = weights.reduce((sum, [kg]) => sum + kg, 0);
  const centreX = weights.reduce((sum, [kg, x]) => sum + kg * x, 0) / carriedKg;
  const pressureX = ((input.frontPressurePoint ?? 0.5) - 0.25) * length.foot * height;
  const frontShare = (centreX + stanceLengthM) / (pressureX + stanceLengthM);
  if (frontShare < 0) return { feasible: false, reason: fallWords.backward };
  if (frontShare > 1) return { feasible: false, reason: fallWords.forward };

  const frontKg = frontShare * carriedKg;
  const { knee, hip } = front;
  return {
    feasible: true,
    frontShare,
    frontKneeMomentNm: gravity * (frontKg * (knee.x - pressureX) - shankKg * (knee.x - frontShank.x)),
    frontHipMomentNm:
      gravity *
      (frontKg * (pressureX - hip.x) - shankKg * (frontShank.x - hip.x) - thighKg * (frontThigh.x - hip.x)),
    rearKneeFlexionDeg: bendOf(rearAnkle, rearKnee, hip),
    kneePastToeCm: 100 * (knee.x - 0.75 * length.foot * height),
    hipHeightCm: 100 * (hip.y - groundY),
  };
}

/** Where the rear knee lies, on the side the person faces; null when the leg does not span the way. */
function rearKneeAt(ankle: Point, hip: Point, shankM: number, thighM: number): Point | null {
  const [dx, dy] = [hip.x - ankle.x, hip.y - ankle.y];
  const distance = Math.hypot(dx, dy);
  if (distance > shankM + thighM || distance < Math.abs(shankM - thighM) || distance === 0) return null;
  const onLine = (distance ** 2 + shankM ** 2 - thighM ** 2) / (2 * distance);
  const across = Math.sqrt(Math.max(0, shankM ** 2 - onLine ** 2));
  const [ux, uy] = [dx / distance, dy / distance];
  return { x: ankle.x + onLine * ux + across * uy, y: ankle.y + onLine * uy - across * ux };
}

/** Flexion of a joint between two links, degrees: 0 when they are in line. */
function bendOf(before: Point, joint: Point, after: Point): number {
  const [ax, ay] = [joint.x - before.x, joint.y - before.y];
  const [bx, by] = [after.x - joint.x, after.y - joint.y];
  return (Math.abs(Math.atan2(ax * by - ay * bx, ax * bx + ay * by)) * 180) / Math.PI;
}
