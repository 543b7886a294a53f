import { gravity } from "~/core/measure/jump-height";
import { kneecapLoad } from "~/core/mechanics/kneecap";
import { winter } from "~/core/mechanics/segments";
import type { PlacedLeg } from "~/core/pose/place-leg";
import { between, cross, dot, minus, type Frame, type Vec } from "~/core/pose/space";

/** What one leg that stands carries at one moment. Moments are external, of one leg, positive where they bend the joint. */
export interface LegLoad {
  /** Share of everything above the feet, 0 to 1. */
  readonly share: number;
  /** Where the pressure lies along the foot: 0 heel, 1 toe. */
  readonly pressurePoint: number;
  /** The same in the room, metres. */
  readonly pressureAt: Vec;
  readonly kneeFlexionDeg: number;
  readonly ankleMomentNm: number;
  readonly kneeMomentNm: number;
  readonly hipMomentNm: number;
  /** Above 110° of bend nobody can say: null. */
  readonly patellofemoralForceN: number | null;
  readonly patellofemoralStressMPa: number | null;
  readonly extrapolated: boolean;
}

interface Standing {
  readonly leg: PlacedLeg;
  readonly pelvis: Frame;
  readonly kneeFlexionDeg: number;
  readonly share: number;
  readonly pressurePoint: number;
  readonly pressureAt: Vec;
}

/**
 * Moments of a standing leg, from the ground up: the ground pushes straight up under the foot, shank and thigh weigh down, and
 * each joint has what these turn it by, about its own axis. For one leg in the flat plane these are the sums of squatLinkage and
 * splitStance.
 *
 * @param supportedKg everything above the feet, load included
 * @param massKg of the body
 * Source: statics; segments of Winter 2009, recalled; kneecap see kneecapLoad.
 */
export function legLoad(standing: Standing, supportedKg: number, massKg: number): LegLoad {
  const { leg, pelvis, kneeFlexionDeg, share, pressurePoint, pressureAt } = standing;
  const { mass, centre } = winter;
  const ground = { at: pressureAt, kg: share * supportedKg };
  const shank = { at: between(leg.knee, leg.ankle, centre.shank), kg: -mass.shank * massKg };
  const thigh = { at: between(leg.hip, leg.knee, centre.thigh), kg: -mass.thigh * massKg };
  const kneeMomentNm = -turning(leg.knee, leg.shank.side, [ground, shank]);
  return {
    share,
    pressurePoint,
    pressureAt,
    kneeFlexionDeg,
    ankleMomentNm: turning(leg.ankle, leg.shank.side, [ground]),
    kneeMomentNm,
    hipMomentNm: turning(leg.hip, pelvis.side, [ground, shank, thigh]),
    ...kneecapLoad(Math.min(150, Math.max(0, kneeFlexionDeg)), kneeMomentNm),
  };
}

/** How upward pushes (kilograms; weights are below 0) turn about an axis through a point, N·m. */
function turning(about: Vec, axis: Vec, pushes: readonly { at: Vec; kg: number }[]): number {
  return pushes.reduce(
    (sum, { at, kg }) => sum + dot(cross(minus(at, about), [0, gravity * kg, 0]), axis),
    0,
  );
}
