import { winter } from "~/core/mechanics/segments";
import type { BodyLengths } from "./body-lengths";
import type { PlacedArm } from "./place-arm";
import type { PlacedLeg } from "./place-leg";
import { between, plus, scaled, type Frame, type Vec } from "./space";

export interface Placed {
  readonly pelvis: Vec;
  readonly lumbar: Vec;
  readonly neck: Vec;
  readonly chestFrame: Frame;
  readonly headFrame: Frame;
  readonly legs: { readonly w: PlacedLeg; readonly o: PlacedLeg };
  readonly arms: { readonly w: PlacedArm; readonly o: PlacedArm };
}

/**
 * Centre of mass of the whole body, metres; loads in the hands are not counted.
 *
 * Source: segment masses and centres of Winter 2009, recalled.
 */
export function centreOfMass(body: BodyLengths, placed: Placed): Vec {
  const { mass, centre } = winter;
  let sum: Vec = [0, 0, 0];
  const add = (at: Vec, share: number) => (sum = plus(sum, at, share));
  for (const leg of [placed.legs.w, placed.legs.o]) {
    add(between(leg.hip, leg.knee, centre.thigh), mass.thigh);
    add(between(leg.knee, leg.ankle, centre.shank), mass.shank);
    add(between(leg.heel, leg.toe, centre.foot), mass.foot);
  }
  for (const arm of [placed.arms.w, placed.arms.o]) {
    add(between(arm.shoulder, arm.elbow, centre.upperArm), mass.upperArm);
    add(between(arm.elbow, arm.wrist, centre.forearmAndHand), mass.forearmAndHand);
  }
  add(plus(placed.lumbar, placed.chestFrame.up, centre.trunk * body.trunk - body.lumbar), mass.trunk);
  add(plus(placed.neck, placed.headFrame.up, centre.head * body.headAndNeck), mass.head);
  const total =
    2 * (mass.thigh + mass.shank + mass.foot + mass.upperArm + mass.forearmAndHand) + mass.trunk + mass.head;
  return scaled(sum, 1 / total);
}
