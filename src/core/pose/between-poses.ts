import type { Arm, Leg, Pose, Sole } from "./pose";
import type { Vec } from "./space";

/**
 * The pose a share of the way from one to another, every number in proportion; words are the first pose's. Contacts stay
 * contacts: what both poses reach for is reached for in between. Written out part by part: poses are mixed for every look at
 * every figure, and a walk over unknown keys takes several times as long.
 */
export function betweenPoses(from: Pose, to: Pose, share: number): Pose {
  if (share <= 0) return from;
  if (share >= 1) return to;
  const of = mixer(share);
  const { pelvis, spine, neck, legs, arms, root } = from;
  return {
    ...from,
    pelvis: {
      pitch: of(pelvis.pitch, to.pelvis.pitch),
      lean: of(pelvis.lean, to.pelvis.lean),
      turn: of(pelvis.turn, to.pelvis.turn),
    },
    spine: {
      flexion: of(spine.flexion, to.spine.flexion),
      lean: of(spine.lean, to.spine.lean),
      turn: of(spine.turn, to.spine.turn),
    },
    neck: { flexion: of(neck.flexion, to.neck.flexion), turn: of(neck.turn, to.neck.turn) },
    legs: { w: legBetween(legs.w, to.legs.w, of), o: legBetween(legs.o, to.legs.o, of) },
    arms: { w: armBetween(arms.w, to.arms.w, of), o: armBetween(arms.o, to.arms.o, of) },
    root: { ...root, ...placeBetween(root, to.root, of) },
  };
}

/** A number a share of the way to another; where the other has none, it stays. */
type Of = (from: number, to: number | undefined) => number;
const mixer =
  (share: number): Of =>
  (from, to) =>
    to === undefined ? from : from + (to - from) * share;

type Place = { x?: number; y?: number; z?: number };

function placeBetween(from: Place, to: Place | undefined, of: Of): Place {
  const place: Place = {};
  if (from.x !== undefined) place.x = of(from.x, to?.x);
  if (from.y !== undefined) place.y = of(from.y, to?.y);
  if (from.z !== undefined) place.z = of(from.z, to?.z);
  return place;
}

const pointBetween = (from: Vec, to: Vec | undefined, of: Of): [number, number, number] => [
  of(from[0], to?.[0]),
  of(from[1], to?.[1]),
  of(from[2], to?.[2]),
];

function legBetween(from: Leg, to: Leg, of: Of): Leg {
  if (from === to) return from;
  const leg: Leg = {
    hip: of(from.hip, to.hip),
    abduction: of(from.abduction, to.abduction),
    rotation: of(from.rotation, to.rotation),
    knee: of(from.knee, to.knee),
    ankle: of(from.ankle, to.ankle),
    room: from.room,
  };
  if (from.sole) leg.sole = soleBetween(from.sole, to.sole, of);
  return leg;
}

function soleBetween(from: Sole, to: Sole | undefined, of: Of): Sole {
  if (!to || from === to) return from;
  const sole: Sole = {
    ...from,
    ...placeBetween(from, to, of),
    pitch: of(from.pitch, to.pitch),
    turn: of(from.turn, to.turn),
  };
  if (from.knee) sole.knee = pointBetween(from.knee, to.knee, of);
  return sole;
}

function armBetween(from: Arm, to: Arm, of: Of): Arm {
  if (from === to) return from;
  const arm: Arm = {
    ...from,
    flexion: of(from.flexion, to.flexion),
    abduction: of(from.abduction, to.abduction),
    rotation: of(from.rotation, to.rotation),
    elbow: of(from.elbow, to.elbow),
  };
  const { reach } = from;
  if (reach)
    arm.reach = {
      ...reach,
      at: pointBetween(reach.at, to.reach?.at, of),
      elbowTo: pointBetween(reach.elbowTo, to.reach?.elbowTo, of),
    };
  return arm;
}
