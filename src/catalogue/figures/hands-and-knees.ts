import { palmOn, type Recipe, arm, figure, leg, pose } from "./parts";
import type { BodyLengths } from "~/core/pose/body-lengths";
import type { Arm, Leg, Pose } from "~/core/pose/pose";
import { bandRound, block, touching } from "./around";
import { radians } from "./degrees";
import { kneeRadius, slopeOf } from "./planks";

interface Fours {
  /** How far the hips are behind the knees' own line, metres. */
  readonly back?: number;
  readonly w?: Leg;
  readonly wide?: number;
  readonly reach?: boolean;
  readonly under?: number;
}

/** On hands and knees; the knees stay where they are. */
function onFours(b: BodyLengths, { back = 0, w, wide = 0, reach = false, under = 0 }: Fours): Pose {
  const h = b.height;
  const shoulderY = 0.335 * h;
  const hipY = under + kneeRadius(b) + Math.sqrt(b.thigh ** 2 - back ** 2);
  const pitch = 90 - slopeOf(Math.max(-0.2 * h, Math.min(0.2 * h, shoulderY - hipY - back * 0.35)), b.trunk);
  const thigh = (Math.asin(back / b.thigh) * 180) / Math.PI;
  const planted = (): Leg => leg({ room: true, hip: thigh, knee: 90 + thigh, ankle: -62, abduction: wide });
  const hand = (side: 1 | -1): Arm => palmOn([b.trunk, 0.012 * h, 0.105 * h * side], [-1, 0, 0.4]);
  return pose({
    lie: "upright",
    pelvis: { pitch },
    neck: { flexion: -8 },
    legs: { w: w ?? planted(), o: planted() },
    root: {
      point: "o.knee",
      x: 0,
      y: kneeRadius(b) + under,
      z: -b.hipCentre - Math.sin(wide * radians) * b.thigh,
    },
    arms: { w: hand(1), o: reach ? arm({ flexion: 172, elbow: 4, abduction: 4 }) : hand(-1) },
  });
}

export const fullRock: Recipe = (k, b) => {
  const h = b.height;
  const wide = k.is("stance-width", "wide") ? 14 : 0;
  return figure({
    viewDeg: 32,
    contacts: touching(
      ["w.knee", kneeRadius(b)],
      ["o.knee", kneeRadius(b)],
      ["w.wrist", 0.012 * h],
      ["o.wrist", 0.012 * h],
    ),
    keys: [onFours(b, { wide }), onFours(b, { wide, back: 0.16 * h * k.range })],
    props: [block("pad", [-0.32 * h, 0.08 * h], [0, 0.006], [-0.16 * h, 0.16 * h])],
    moves: "pelvis",
  });
};

export const foursHip: Recipe = (k, b) => {
  const long = k.is("lever", "long");
  const back = k.is("direction", "back");
  const start = leg({ room: true, hip: 0, knee: 90, ankle: -62 });
  const end = back
    ? leg({ room: true, hip: -84, knee: 88, ankle: 6 })
    : long
      ? leg({ hip: 30, abduction: 60, knee: 4, ankle: 0 })
      : leg({ room: true, hip: 4, abduction: 52, knee: 88, ankle: -62 });
  const first = long ? leg({ hip: 36, abduction: 56, knee: 4, ankle: -36 }) : start;
  return figure({
    viewDeg: back ? 20 : 58,
    contacts: touching(
      ["o.knee", kneeRadius(b)],
      ["w.wrist", 0.012 * b.height],
      ["o.wrist", 0.012 * b.height],
    ),
    keys: [onFours(b, { w: first }), onFours(b, { w: end })],
    timing: { kind: "there-and-back", lowers: "back" },
    props: bandRound(k),
    moves: back ? "w.ankle" : long ? "w.ankle" : "w.knee",
  });
};

export const oppositeReach: Recipe = (k, b) => {
  const h = b.height;
  const soft = k.is("surface", "soft") ? 0.05 : 0;
  const slide = k.is("lever", "short");
  const both = k.is("laterality", "single");
  const w = slide ? leg({ hip: 8, knee: 4, ankle: -40 }) : leg({ hip: 2, knee: 4, ankle: 0 });
  return figure({
    contacts: touching(["o.knee", kneeRadius(b) + soft], ["w.wrist", 0.012 * h]),
    keys: [onFours(b, { w, reach: both, under: soft })],
    timing: { kind: "hold" },
    props: soft ? [block("mat", [-0.12 * h, 0.06 * h], [0, soft], [-0.16 * h, 0.02 * h])] : [],
  });
};
