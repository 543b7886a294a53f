import {
  palmOn,
  type Recipe,
  arm,
  figure,
  hands,
  leg,
  lyingHeight,
  onFront,
  pointed,
  pose,
  reachTo,
} from "./parts";
import type { BodyLengths } from "~/core/pose/body-lengths";
import type { Prop } from "~/core/figure/figure";
import type { Arm, Pose } from "~/core/pose/pose";
import { block, loaded } from "./around";
import { radians } from "./degrees";

export const proneLift: Recipe = (k, b) => {
  const short = k.is("lever", "short");
  const load = loaded(k, b);
  const at = (hip: number) =>
    onFront(b, { w: short ? leg({ hip, knee: 88, ankle: 4 }) : pointed({ hip }), o: pointed() });
  const held = k.is("contraction", "isometric");
  return figure({
    keys: [at(0), at(held ? 0 : -17)],
    timing: { kind: "there-and-back", lowers: "back" },
    props: [
      ...load.props,
      ...(held
        ? ([
            { kind: "press", at: { of: "pelvis", plus: [0, 0.07 * b.height, 0] }, towards: [0, -1, 0] },
          ] as const)
        : []),
    ],
    moves: short ? "w.knee" : "w.ankle",
  });
};

export const extension: Recipe = (k, b) => {
  const h = b.height;
  const forearm = k.is("lever", "short");
  const bend = forearm ? (k.is("range", "full") ? 33 : 28) : k.is("range", "full") ? 52 : 36;
  const at = (flexion: number) => {
    const lift = flexion / bend;
    const neckX = b.lumbar + (b.trunk - b.lumbar) * Math.cos(flexion * radians);
    const hand = (side: 1 | -1): Arm =>
      forearm
        ? reachTo([neckX + 0.17 * h, 0.02 * h, 0.12 * h * side], [0, -0.5, 1])
        : palmOn([b.trunk * 0.9 - 0.02 * h * lift, 0.012 * h, 0.14 * h * side], [-1, 0, 0.5]);
    return onFront(
      b,
      { w: pointed(), o: pointed() },
      { spine: { flexion: -flexion, lean: 0, turn: 0 }, arms: { w: hand(1), o: hand(-1) } },
    );
  };
  return figure({
    keys: [at(forearm ? 18 : 14), at(bend)],
    timing: { kind: "there-and-back", lowers: "back" },
    moves: "neck",
  });
};

export const backExtension: Recipe = (k, b) => {
  const h = b.height;
  const load = loaded(k, b);
  if (k.is("contraction", "isometric")) {
    const long = k.is("lever", "long");
    const chin = (side: 1 | -1): Arm => reachTo([b.trunk + 0.08 * h, 0.03 * h, 0.03 * h * side], [0, 0, 1]);
    const arms = load.arms
      ? { w: chin(1), o: chin(-1) }
      : long
        ? hands.ears(b)
        : { w: arm({ flexion: -4, abduction: 6 }), o: arm({ flexion: -4, abduction: 6 }) };
    return figure({
      keys: [onFront(b, { w: pointed(), o: pointed() }, { spine: { flexion: -16, lean: 0, turn: 0 }, arms })],
      timing: { kind: "hold" },
      props: [
        ...load.props,
        { kind: "arrow", from: [b.trunk + 0.02, 0.02, 0.2], to: [b.trunk, 0.15 * h, 0.2], heads: "end" },
      ],
    });
  }
  const tilt = benchTilt;
  const at = (pitch: number): Pose =>
    pose({
      lie: "upright",
      pelvis: { pitch },
      legs: {
        w: leg({ room: true, hip: -tilt, knee: 0, ankle: 0 }),
        o: leg({ room: true, hip: -tilt, knee: 0, ankle: 0 }),
      },
      root: { point: "w.ankle", x: 0, y: 0.2 * h, z: b.hipCentre },
      arms: load.arms
        ? k.is("lever", "short")
          ? { ...load.arms, o: hands.crossed(b).o }
          : load.arms
        : k.is("lever", "short")
          ? hands.crossed(b)
          : hands.ears(b),
    });
  return figure({
    keys: [at(112), at(tilt)],
    timing: { kind: "there-and-back", lowers: "back" },
    props: [...extensionBench(b), ...load.props],
    moves: "chest",
  });
};

/** Slope of the legs of somebody on the bench, degrees from upright. */
export const benchTilt = 45;

/** The 45° bench: the pad's beam, its post and its foot; ankles at x = 0. */
export function extensionBench(b: BodyLengths): Prop[] {
  const h = b.height;
  const hip = (b.thigh + b.shank) * Math.sin(benchTilt * radians);
  return [
    {
      kind: "line",
      what: "frame",
      through: [
        [-0.06 * h, 0.1 * h, 0],
        [hip - 0.02 * h, 0.2 * h + hip - 0.11 * h, 0],
      ],
    },
    {
      kind: "line",
      what: "frame",
      through: [
        [hip * 0.55, 0, 0],
        [hip * 0.55, 0.2 * h + hip * 0.36, 0],
      ],
    },
    {
      kind: "line",
      what: "frame",
      through: [
        [-0.1 * h, 0.02, 0],
        [hip, 0.02, 0],
      ],
    },
  ];
}

export const curlMachine: Recipe = (k, b) => {
  const h = b.height;
  const [open, closed] = k.arc([60, 90]);
  const y = 0.42;
  const single = k.is("laterality", "single");
  const lowered = k.is("contraction", "eccentric-only");
  const at = (w: number, o: number): Pose =>
    onFront(
      b,
      { w: leg({ hip: 14, knee: w, ankle: 6 }), o: leg({ hip: 14, knee: o, ankle: 6 }) },
      {
        root: { point: "pelvis", x: 0, y: y + lyingHeight(b) + 0.02 * h, z: 0 },
        pelvis: { pitch: 4 },
        arms: {
          w: reachTo([0.42 * h, y - 0.1 * h, 0.16 * h]),
          o: reachTo([0.42 * h, y - 0.1 * h, -0.16 * h]),
        },
      },
    );
  const bench: Prop[] = [
    block("machine", [-0.26 * h, 0.36 * h], [y - 0.05, y], [-0.12 * h, 0.12 * h]),
    block("machine", [-0.04 * h, 0.08 * h], [0, y - 0.05], [-0.06 * h, 0.06 * h]),
    {
      kind: "line",
      what: "frame",
      through: [[-0.26 * h, y - 0.02, 0.15 * h], { of: "w.ankle", plus: [0, -0.005, 0.05 * h] }],
    },
    { kind: "ring", what: "cuff", limb: "w.shank", at: 0.9 },
  ];
  const middle = (open + closed) / 2;
  const keys = k.is("contraction", "isometric")
    ? [at(middle, single ? 8 : middle)]
    : lowered
      ? [at(closed, single ? 8 : closed), at(open, single ? 8 : closed)]
      : [at(open, single ? 8 : open), at(closed, single ? 8 : closed)];
  return figure({
    keys,
    timing: { kind: "there-and-back", lowers: lowered ? "there" : "back" },
    props: bench,
    moves: "w.ankle",
  });
};
