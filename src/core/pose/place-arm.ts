import type { BodyLengths } from "./body-lengths";
import type { Arm } from "./pose";
import {
  cross,
  flexed,
  inFrame,
  leaned,
  minus,
  plus,
  scaled,
  twisted,
  unit,
  type Frame,
  type Vec,
} from "./space";
import { facing, twoLinks } from "./two-links";

export interface PlacedArm {
  readonly shoulder: Vec;
  readonly elbow: Vec;
  readonly wrist: Vec;
  /** The middle of the closed hand. */
  readonly grip: Vec;
  readonly upperArm: Frame;
  readonly forearm: Frame;
}

interface From {
  readonly chest: Frame;
  readonly pelvis: Frame;
  readonly pelvisAt: Vec;
  readonly shoulder: Vec;
}

/** An arm from its shoulder; null when the hand cannot reach its place. `outward` as for a leg. */
export function placeArm(body: BodyLengths, arm: Arm, from: From, outward: 1 | -1): PlacedArm | null {
  const lower = body.forearm + body.grip;
  const { shoulder, chest } = from;
  if (!arm.reach) {
    const upperArm = twisted(
      leaned(flexed(arm.room ? turnedAs(chest) : chest, arm.flexion), -arm.abduction * outward),
      arm.rotation * outward,
    );
    const forearm = flexed(upperArm, arm.elbow);
    const elbow = plus(shoulder, upperArm.up, -body.upperArm);
    const wrist = plus(elbow, forearm.up, -body.forearm);
    return { shoulder, elbow, wrist, grip: plus(elbow, forearm.up, -lower), upperArm, forearm };
  }
  const mirrored = ([f, u, s]: Vec): Vec => [f, u, s * outward];
  const { at, elbowTo, palm } = arm.reach;
  const parts: Record<typeof arm.reach.in, () => Vec> = {
    room: () => at,
    pelvis: () => plus(from.pelvisAt, inFrame(from.pelvis, mirrored(at))),
    chest: () => plus(shoulder, inFrame(chest, mirrored(at))),
  };
  const hand = parts[arm.reach.in]();
  const pole = inFrame(chest, mirrored(elbowTo));
  const elbow = twoLinks(shoulder, hand, body.upperArm, palm ? body.forearm : lower, pole);
  if (!elbow) return null;
  const up = unit(minus(shoulder, elbow));
  const forearmUp = unit(minus(elbow, hand));
  // The forearm of a bent elbow lies to the front of the arm; a straight arm has its front away from the pole.
  const fore = facing(up, scaled(forearmUp, -1), scaled(pole, -1));
  const side = cross(fore, up);
  return {
    shoulder,
    elbow,
    wrist: plus(elbow, forearmUp, -body.forearm),
    grip: palm ? plus(hand, flat(plus(chest.fore, chest.up)), body.grip) : hand,
    upperArm: { fore, up, side },
    forearm: { fore: cross(forearmUp, side), up: forearmUp, side },
  };
}

/** A direction laid level: where the fingers of a flat hand point. */
function flat([x, , z]: Vec): Vec {
  return Math.hypot(x, z) > 0.1 ? unit([x, 0, z]) : [1, 0, 0];
}

/** The room, turned to where the chest faces; a chest that lies faces as the room does. */
function turnedAs({ fore, side }: Frame): Frame {
  const level = Math.hypot(side[0], side[2]);
  if (level < 0.1) return { fore, up: [0, 1, 0], side };
  const out: Vec = [side[0] / level, 0, side[2] / level];
  return { fore: cross([0, 1, 0], out), up: [0, 1, 0], side: out };
}
