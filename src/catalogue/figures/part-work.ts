import type { Prop } from "~/core/figure/figure";
import type { Pose } from "~/core/pose/pose";
import { block, chair, loaded } from "./around";
import { bendTo } from "./bend-to";
import {
  type Recipe,
  carrying,
  figure,
  foot,
  freeLeg,
  hands,
  leg,
  levelSeat,
  onFoot,
  onOne,
  onSeat,
  pose,
  reachTo,
  sitHeight,
} from "./parts";
import { downTo, leaning } from "./sit-back";
import { holding } from "./support";

/** Down and up along a wall. */
const movingWallSquat: Recipe = (k, b) => {
  const h = b.height;
  const deep = k.number("knee-angle", 45);
  const slide = k.is("stance-length", "long") ? -0.02 : 0.14;
  const single = k.is("laterality", "single");
  const ahead = k.is("laterality", "staggered") ? 0.05 * h : 0;
  const [s, t] = [(slide * deep * Math.PI) / 180, ((1 - slide) * deep * Math.PI) / 180];
  const hipX = b.shank * Math.sin(s) - b.thigh * Math.sin(t);
  // The back slides along the wall, so the hips go straight down over a leg that spans more or less.
  const at = (knee: number): Pose => {
    const span2 = b.shank ** 2 + b.thigh ** 2 + 2 * b.shank * b.thigh * Math.cos((knee * Math.PI) / 180);
    return pose({
      lie: "upright",
      legs: {
        w: foot(b, 0),
        o: single ? leg({ hip: knee + 25, knee: 20 }) : foot(b, ahead, { pitch: ahead ? -6 : 0 }, -1),
      },
      root: { point: "pelvis", x: hipX, y: b.ankleHeight + Math.sqrt(span2 - hipX ** 2), z: 0 },
      arms: hands.crossed(b),
    });
  };
  return figure({
    keys: [at(ahead > 0 ? 38 : 14), at(deep)],
    props: [{ kind: "wall", x: hipX - 0.062 * h, z: [-0.3, 0.3], faces: 1 }],
    moves: "pelvis",
  });
};

/** Lowered part of the way towards a chair and up again; the hands help where they must. */
const partLowering: Recipe = (k, b) => {
  const h = b.height;
  const seat = k.number("box-height", 50) / 100;
  const down = bendTo(b, seat + sitHeight(b), 0.2);
  const knee = 8 + (down - 8) * (k.is("range", "part") ? 0.45 : k.is("range", "three-quarter") ? 0.7 : 0.94);
  const ahead = k.is("laterality", "staggered");
  // Nearly upright the shin slants more, so that the foot ahead stays in reach.
  const shin = (bend: number) => (bend < 20 ? 0.36 * bend : 0.2 * bend);
  const at = (bend: number, pitch: number) =>
    pose({
      lie: "upright",
      legs: {
        w: carrying(bend, shin(bend)),
        o: ahead ? foot(b, 0.07 * h, { pitch: -8 }, -1) : carrying(bend, shin(bend)),
      },
      root: onFoot(b),
      pelvis: { pitch },
      arms: hands.crossed(b),
    });
  const held = holding(k, b, [at(ahead ? 18 : 6, 2), at(knee, 6 + 0.3 * knee)]);
  const thigh = (down * 0.8 * Math.PI) / 180;
  const hipX = b.shank * Math.sin((0.2 * down * Math.PI) / 180) - b.thigh * Math.sin(thigh);
  return figure({
    keys: held.keys,
    props: [
      block("seat", [hipX - 0.14 * h, hipX + 0.1 * h], [seat - 0.04, seat], [-0.12 * h, 0.12 * h]),
      block("rail", [hipX - 0.16 * h, hipX - 0.14 * h], [0, seat + 0.2 * h], [-0.12 * h, 0.12 * h]),
      block("rail", [hipX + 0.07 * h, hipX + 0.09 * h], [0, seat - 0.04], [-0.12 * h, 0.12 * h]),
      ...held.props,
    ],
    moves: "pelvis",
  });
};

/** On a step the other foot goes part of the way down before it, hovers, and comes back. */
const stepLowering: Recipe = (k, b) => {
  const h = b.height;
  const step = k.number("step-height", 10) / 100;
  const share = k.is("range", "part") ? 0.5 : k.is("range", "three-quarter") ? 0.75 : 0.95;
  const touch = 0.2 * h;
  const low = step * (1 - share) + 0.03 * h;
  const place = { x: touch, y: 1.05 * b.ankleHeight + low - step };
  const { kneeDeg, shinDeg, hover: high, turnedAt, turnedAfter } = downTo(k, b, 0.38, place);
  const stand = (bend: number, gone: number, shin = 0.38 * bend, hover = 0) =>
    onOne(
      b,
      bend,
      shin,
      foot(
        b,
        0.12 * h + 0.08 * h * gone,
        { y: step + 0.06 * h + (low - step - 0.06 * h) * gone + hover, pitch: -8 * gone, free: true },
        -1,
      ),
      { arms: hands.hips(b), ...leaning(k, turnedAt !== null && gone === 1, true) },
      { y: step },
    );
  const keys =
    turnedAt === null
      ? [stand(5, 0), stand(kneeDeg, 1)]
      : [stand(5, 0), stand(turnedAt, turnedAfter), stand(turnedAt, 1, shinDeg, high)];
  const held = holding(k, b, keys);
  return figure({
    keys: held.keys,
    props: [block("step", [-0.16 * h, 0.09 * h], [0, step], [-0.04 * h, 0.14 * h]), ...held.props],
    moves: "pelvis",
  });
};

/** On the edge of a step the standing knee bends; the free heel sinks beside it with a level pelvis. */
const bendingDip: Recipe = (k, b) => {
  const step = 0.16;
  const load = loaded(k, b);
  const deep = k.number("knee-angle", 30);
  const stand = (knee: number) =>
    onOne(
      b,
      knee,
      0.42 * knee,
      freeLeg({ hip: 8 + 0.2 * knee, knee: 8 + 0.3 * knee }),
      { arms: load.arms ?? hands.hips(b), balance: { over: "w", forward: true, sideways: false } },
      { y: step },
    );
  const held = holding(k, b, [stand(4), stand(deep)]);
  const h = b.height;
  return figure({
    viewDeg: 36,
    keys: held.keys,
    props: [
      block("step", [-0.1 * h, 0.16 * h], [0, step], [-0.02 * h, 0.14 * h]),
      ...held.props,
      ...load.props,
    ],
    moves: "pelvis",
  });
};

/** The thigh is held up by the hip's own strength while the knee straightens. */
const heldThigh: Recipe = (k, b) => {
  const h = b.height;
  const helped = k.is("assistance", "light", "strong");
  const weight = loaded(k, b);
  const seat = levelSeat(b) + 0.04 * h;
  const lift = 100;
  const at = (knee: number) =>
    onSeat(
      b,
      {
        legs: { w: leg({ room: true, hip: lift, knee, ankle: 4 }), o: foot(b, b.thigh, {}, -1) },
        arms: helped
          ? {
              w: reachTo([b.thigh * 0.5, seat + 0.04 * h, 0.1 * h], [-0.6, -0.4, 0.6]),
              o: hands.hips(b).o,
            }
          : hands.hips(b),
      },
      seat,
    );
  return figure({
    keys: [at(92), at(k.is("range", "part") ? 44 : 18)],
    timing: { kind: "there-and-back", lowers: "back" },
    props: [...chair(b, seat), ...weight.props] as Prop[],
    moves: "w.ankle",
  });
};

export const partWorkFigures: Readonly<Record<string, Recipe>> = {
  "moving-wall-squat": movingWallSquat,
  "part-lowering": partLowering,
  "step-lowering": stepLowering,
  "bending-dip": bendingDip,
  "held-thigh-extension": heldThigh,
};
