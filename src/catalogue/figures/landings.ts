import { armsUp, airborne, bent, moved } from "./take-off";
import type { Prop } from "~/core/figure/figure";
import type { BodyLengths } from "~/core/pose/body-lengths";
import type { Leg, Pose } from "~/core/pose/pose";
import { block, loaded } from "./around";
import { letFly } from "./let-fly";
import { type Knobs, type Recipe, figure, foot, hands, onBoth } from "./parts";

/** Standing on a step of a height, its edge under the toes. */
function onTop(b: BodyLengths, height: number): { stand: Pose; step: Prop } {
  const h = b.height;
  const stand = moved(letFly(b, onBoth(b, 6, 2, { arms: hands.hang() })), { x: -0.24 * h, y: height });
  return {
    stand,
    step: block("step", [-0.42 * h, -0.24 * h + b.ball + 0.05 * h], [0, height], [-0.15 * h, 0.15 * h]),
  };
}

const stepping = (b: BodyLengths, stand: Pose): Pose => ({
  ...stand,
  legs: {
    ...stand.legs,
    w: foot(
      b,
      -0.04 * b.height,
      { y: (stand.legs.w.sole?.y ?? 0) + 0.05 * b.height, pitch: 28, free: true },
      1,
    ),
  },
  root: {
    ...stand.root,
    x: (stand.root.x ?? 0) + 0.06 * b.height,
    y: (stand.root.y ?? 0) - 0.012 * b.height,
  },
});

function landingOn(k: Knobs, b: BodyLengths, knee: number): Pose {
  const single = k.is("laterality", "single");
  const most = k.is("laterality", "staggered");
  const landed = bent(b, { single, knee }, armsUp());
  const turned = k.is("direction", "rotational") ? 55 : 0;
  const leaning = most
    ? {
        ...landed,
        root: { ...landed.root, z: (landed.root.z ?? 0) + 0.035 * b.height },
        legs: { ...landed.legs, o: lighter(landed.legs.o, b) },
      }
    : landed;
  return moved(leaning, { x: 0.2 * b.height, turn: turned });
}
const lighter = (one: Leg, b: BodyLengths): Leg =>
  one.sole ? { ...one, sole: { ...one.sole, pitch: 24, x: (one.sole.x ?? 0) + 0.01 * b.height } } : one;

export const stepOff: Recipe = (k, b) => {
  const height = k.number("drop-height", 20) / 100;
  const { stand, step } = onTop(b, height);
  const landed = landingOn(k, b, 55);
  return figure({
    viewDeg: k.is("direction", "rotational") ? 40 : 26,
    keys: [stand, stepping(b, stand), landed, landed],
    timing: { kind: "sequence", seconds: [0.6, 0.35, 1.4, 0.02] },
    props: [step],
  });
};

export const dropJump: Recipe = (k, b) => {
  const h = b.height;
  const height = k.number("drop-height", 20) / 100;
  const { stand, step } = onTop(b, height);
  const landed = landingOn(k, b, 38);
  return figure({
    viewDeg: k.is("direction", "rotational") ? 40 : 26,
    keys: [stand, stepping(b, stand), landed, airborne(b, landed, 0.16 * h), landed],
    timing: { kind: "sequence", seconds: [0.6, 0.3, 0.25, 0.3, 0.02] },
    props: [
      step,
      { kind: "arrow", from: [0.36 * h, 0.08 * h, 0.1], to: [0.36 * h, 0.36 * h, 0.1], heads: "end" },
    ],
  });
};

export const boxJump: Recipe = (k, b) => {
  const h = b.height;
  const height = k.number("step-height", 20) / 100;
  const single = k.is("laterality", "single");
  const oneUp = k.is("laterality", "staggered");
  const load = loaded(k, b);
  const start = moved(bent(b, { single: single || oneUp, knee: 58 }), { x: -0.36 * h });
  const far = { x: 0.42 * h, y: height };
  const landed = moved(bent(b, { single, knee: 52 }, armsUp()), { x: far.x - 0.36 * h, y: height });
  const high = airborne(b, start, height + 0.1 * h, { x: far.x / 2 });
  const start2 = oneUp ? { ...start, legs: { ...start.legs, o: aloft(b, start) } } : start;
  const high2 = oneUp ? { ...high, legs: { ...high.legs, o: aloft(b, high, 0.06 * h) } } : high;
  return figure({
    keys: [start2, high2, landed, landed],
    timing: { kind: "sequence", seconds: [0.4, 0.35, 1.2, 0.02] },
    props: [block("box", [-0.08 * h, 0.32 * h], [0, height], [-0.18 * h, 0.18 * h]), ...load.props],
  });
};

/** The foot that does not push off, held up beside the hips. */
function aloft(b: BodyLengths, p: Pose, lift = 0): Leg {
  const { x = 0, y = 0 } = p.root;
  return foot(
    b,
    x - 0.06 * b.height,
    { y: Math.max(0.02, y - 0.4 * b.height + lift), pitch: 20, free: true },
    -1,
  );
}
