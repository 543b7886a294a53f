import { block, loaded } from "./around";
import { bendToTouch } from "./bend-to";
import { type Recipe, carrying, figure, foot, hands, onFoot, pose } from "./parts";
import { ankleOnSole } from "./reach-out";
import { holding } from "./support";

export const splitSquat: Recipe = (k, b) => {
  const h = b.height;
  const long = k.is("stance-length", "long");
  const raised = k.is("raised", "rear-foot");
  const frontY = k.is("raised", "front-foot") ? 0.1 : 0;
  // Free to travel, the front shin slants more as the knee bends.
  const shinShare = (long ? 0.04 : 0.16) + (k.is("knee-travel", "free") ? 0.12 : 0);
  const benchY = raised ? 0.2 * h : 0;
  const behind = (long ? 0.42 : 0.3) * h;
  const load = loaded(k, b);
  const deep = (raised ? 70 : 92) * k.range + 6;
  // Sitting back the front knee travels until it turns there; from then on the hips drop straight, the shin staying as it is.
  const stand = (knee: number) => {
    const shin = Math.min(knee, k.sitBackAt ?? knee) * shinShare;
    return pose({
      lie: "upright",
      legs: {
        w: carrying(knee, shin, { y: frontY }),
        o: foot(b, -behind, { y: benchY, pitch: raised ? 100 : 52, free: raised, knee: [0.7, -0.6, 0] }, -1),
      },
      root: onFoot(b, 0, frontY),
      pelvis: { pitch: 8 + knee * 0.1 },
      arms: load.arms ?? hands.hips(b),
    });
  };
  const [forward, rise] = ankleOnSole(b, 52);
  const start = raised
    ? 16
    : bendToTouch(b, shinShare, { x: forward - behind, y: rise - frontY, aside: 0.01 });
  const down = Math.max(start + 6, deep);
  const turns = k.sitBackAt !== null && k.sitBackAt > start && k.sitBackAt < down ? [stand(k.sitBackAt)] : [];
  const held = holding(k, b, [stand(start), ...turns, stand(down)]);
  return figure({
    keys: held.keys,
    props: [
      ...held.props,
      ...load.props,
      ...(raised
        ? [block("bench", [-behind - 0.2 * h, -behind + 0.06 * h], [0, benchY - 0.03], [-0.16 * h, 0.02 * h])]
        : []),
      ...(frontY > 0
        ? [block("step", [-b.heel - 0.03 * h, b.ball + 0.08 * h], [0, frontY], [0.01 * h, 0.12 * h])]
        : []),
      ...(held.props.length === 0
        ? [block("pad", [-behind * 0.62 - 0.1, -behind * 0.62 + 0.1], [0, 0.03], [-0.16 * h, 0])]
        : []),
    ],
    moves: "pelvis",
  });
};

export const lunge: Recipe = (k, b) => {
  const h = b.height;
  const load = loaded(k, b);
  const arms = load.arms ?? hands.hips(b);
  const short = k.is("stance-length", "short");
  const stride = (short ? 0.34 : 0.46) * h;
  if (k.is("direction", "across")) {
    const out = stride * 0.85;
    // The earlier it turns to the hips, the farther they go back.
    const early = k.sitBackAt === null ? 0 : Math.max(0, 1 - k.sitBackAt / 90);
    const stand = (knee: number, away: number) =>
      pose({
        lie: "upright",
        legs: {
          w: foot(b, 0, { z: b.hipCentre + away, turn: 8, knee: [1, 0, 0.25] }, 1),
          o: foot(b, 0, { turn: 8 }, -1),
        },
        root: {
          point: "pelvis",
          x: -(0.1 + 0.02 * early) * h * knee,
          y: 0.515 * h - 0.19 * h * knee,
          z: away * 0.8 * knee,
        },
        pelvis: { pitch: (38 + 10 * early) * knee },
        arms,
      });
    const held = holding(k, b, [stand(0, 0), stand(1, out)]);
    return figure({ viewDeg: 90, keys: held.keys, props: [...held.props, ...load.props], moves: "w.ankle" });
  }
  const back = k.is("direction", "back");
  const lowest = 88;
  const slantAtLowest = (short ? 14 : 4) + (k.is("knee-travel", "free") ? 14 : 0);
  const deep = (knee: number) =>
    pose({
      lie: "upright",
      legs: {
        w: carrying(knee, (slantAtLowest * Math.min(knee, k.sitBackAt ?? knee)) / lowest, { x: undefined }),
        o: foot(b, -stride, { pitch: 55, knee: [0.7, -0.6, 0] }, -1),
      },
      root: onFoot(b, back ? 0 : stride),
      pelvis: { pitch: 12 },
      arms,
    });
  const low = deep(lowest);
  const landed = back
    ? low
    : { ...low, legs: { ...low.legs, o: foot(b, 0, { pitch: 55, knee: [0.7, -0.6, 0] }, -1) } };
  // Stepping forward the working foot travels; stepping back it is the other that does.
  const start = pose({
    ...landed,
    legs: back
      ? { w: carrying(4, 2), o: foot(b, 0.01, { pitch: 2, knee: [0.7, -0.6, 0] }, -1) }
      : {
          w: carrying(30, 4, { y: 0.06 * h, free: true }),
          o: foot(b, 0, { pitch: 6, knee: [0.7, -0.6, 0] }, -1),
        },
    root: back ? onFoot(b) : onFoot(b, 0.05 * h, 0.02 * h),
    pelvis: { pitch: 3 },
  });
  const held = holding(k, b, [start, landed], "along");
  return figure({
    keys: held.keys,
    props: [...held.props, ...load.props],
    moves: back ? "o.ankle" : "w.ankle",
  });
};
