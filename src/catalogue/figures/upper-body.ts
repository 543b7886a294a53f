import { levelSeat, type Recipe, arm, figure, hands, onBoth, onSeat, reachTo } from "./parts";
import type { Prop } from "~/core/figure/figure";
import type { Pose } from "~/core/pose/pose";
import { block, chair, loaded } from "./around";
import { radians } from "./degrees";

const shoulderRotation: Recipe = (k, b) => {
  const h = b.height;
  const high = k.is("lever", "long");
  const pressed = k.is("contraction", "isometric");
  const at = (out: number): Pose => {
    const base = onBoth(b, 4, 2, { arms: hands.hang() });
    const w = high
      ? arm({ flexion: 0, abduction: 84, rotation: 0, elbow: 0, reach: undefined })
      : arm({ flexion: 4, abduction: 8, rotation: out, elbow: 90 });
    if (!high) return { ...base, arms: { ...base.arms, w } };
    const up = out * radians;
    return {
      ...base,
      arms: {
        ...base.arms,
        w: arm({
          reach: {
            in: "chest",
            at: [b.forearm * 1.3 * Math.cos(up), b.forearm * 1.3 * Math.sin(up), b.upperArm],
            elbowTo: [-0.1, -0.2, 1],
          },
        }),
      },
    };
  };
  const keys = pressed ? [at(24)] : high ? [at(4), at(76)] : [at(-40), at(50)];
  const doorZ = b.shoulderCentre + 0.14 * h;
  return figure({
    viewDeg: 66,
    keys,
    props: [
      ...(pressed
        ? ([
            {
              kind: "line",
              what: "frame",
              through: [
                [0.2 * h, 0, doorZ],
                [0.2 * h, 1.1 * h, doorZ],
              ],
            },
            { kind: "press", at: "w.wrist", towards: [0, 0, 1] },
          ] as const)
        : []),
      ...(!pressed && !high
        ? ([{ kind: "ring", what: "towel", limb: "w.upper-arm", at: 0.72 }] as const)
        : []),
      ...(k.is("perturbation", "band-foot")
        ? ([{ kind: "line", what: "band", through: ["w.grip", [0.4 * h, 0.02, b.hipCentre]] }] as const)
        : []),
    ],
    moves: "w.grip",
  });
};

const row: Recipe = (k, b) => {
  const h = b.height;
  const load = loaded(k, b);
  if (k.is("trunk", "upright")) {
    const seat = levelSeat(b);
    const both = k.is("support", "two-hands");
    const at = (back: number) => {
      const hand = (side: 1 | -1) =>
        reachTo([(0.3 - back) * h, seat + 0.27 * h, 0.09 * h * side], [-1, -0.5, 0.3]);
      return onSeat(b, { arms: { w: hand(1), o: both ? hand(-1) : hands.hips(b).o } });
    };
    return figure({
      keys: [at(0), at(0.24)],
      props: [
        ...chair(b),
        { kind: "line", what: "band", through: ["w.grip", [0.7 * h, seat + 0.25 * h, 0]] },
        ...load.props,
        ...(both
          ? ([{ kind: "line", what: "band", through: ["o.grip", [0.7 * h, seat + 0.25 * h, 0]] }] as const)
          : []),
        {
          kind: "line",
          what: "frame",
          through: [
            [0.7 * h, 0, 0],
            [0.7 * h, seat + 0.35 * h, 0],
          ],
        },
      ],
      moves: "w.grip",
    });
  }
  const held = k.is("support", "two-hands");
  const weight = k.is("load-place", "hands");
  const stand = onBoth(b, 24, 4, { pelvis: { pitch: 56 } });
  const still = { ...stand, balance: undefined, pelvis: { ...stand.pelvis, pitch: 56 } };
  const at = (up: number): Pose => {
    const shoulderX = -0.02 * h;
    return {
      ...still,
      arms: {
        w: arm({ room: true, flexion: -4 - 44 * up, elbow: 4 + 74 * up, abduction: 8 }),
        o: held
          ? reachTo([0.26 * h + shoulderX, 0.35 * h, -0.1 * h], [-0.5, 0, 0.6])
          : arm({ room: true, flexion: 0, abduction: 6 }),
      },
    };
  };
  return figure({
    keys: [at(0), at(1)],
    timing: { kind: "there-and-back", lowers: "back" },
    props: [
      ...(held
        ? [
            block("seat", [0.16 * h, 0.4 * h], [0.3 * h, 0.33 * h], [-0.16 * h, 0]),
            block("rail", [0.18 * h, 0.2 * h], [0, 0.3 * h], [-0.14 * h, -0.02 * h]),
            block("rail", [0.36 * h, 0.38 * h], [0, 0.3 * h], [-0.14 * h, -0.02 * h]),
          ]
        : []),
      ...(weight
        ? [load.props[0] as Prop]
        : [{ kind: "ring", what: "towel", limb: "w.forearm", at: 0.98 } as const]),
    ],
    moves: "w.elbow",
  });
};

export const upperBodyFigures: Readonly<Record<string, Recipe>> = {
  "shoulder-rotation": shoulderRotation,
  row,
};
