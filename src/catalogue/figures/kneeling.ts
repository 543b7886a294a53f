import { hipToAnkle } from "./reach-out";
import type { Prop } from "~/core/figure/figure";
import type { BodyLengths } from "~/core/pose/body-lengths";
import type { Pose } from "~/core/pose/pose";
import { block, loaded, touching } from "./around";
import { radians } from "./degrees";
import { type Recipe, arm, figure, foot, hands, leg, pose } from "./parts";
import { kneeRadius } from "./planks";
import { holding } from "./support";

/** Kneeling upright on both knees, thighs and trunk slanting together: forward above 0. */
function kneel(b: BodyLengths, slant: number, arms: Pose["arms"], trunkMore = 0): Pose {
  const one = leg({ room: true, hip: -slant, knee: 90 - slant, ankle: -58 });
  return pose({
    lie: "upright",
    pelvis: { pitch: slant + trunkMore },
    legs: { w: one, o: one },
    root: { point: "w.knee", x: 0, y: kneeRadius(b) + 0.02, z: b.hipCentre },
    arms,
  });
}

export const mat = (b: BodyLengths): Prop =>
  block("pad", [-0.3 * b.height, 0.08 * b.height], [0, 0.02], [-0.14 * b.height, 0.14 * b.height]);

/** Both knees on the pad. */
const onPad = (b: BodyLengths) => {
  const y = kneeRadius(b) + 0.02;
  return touching(["w.knee", y], ["o.knee", y]);
};

export const leanBack: Recipe = (k, b) => {
  const h = b.height;
  const load = loaded(k, b);
  const strong = k.is("assistance", "strong");
  const light = k.is("assistance", "light");
  const end = -40 * k.range;
  const arms = load.arms ?? (light ? hands.forward(78) : hands.crossed(b));
  return figure({
    keys: [kneel(b, 0, arms), kneel(b, end, arms)],
    contacts: onPad(b),
    props: [
      mat(b),
      ...load.props,
      ...(strong
        ? [0, 1, 2].map((n) =>
            block(
              "pillow",
              [-0.42 * h, -0.2 * h],
              [0.02 + n * 0.07, 0.085 + n * 0.07],
              [-0.13 * h, 0.13 * h],
            ),
          )
        : []),
      ...(light
        ? ([
            { kind: "line", what: "strap", through: ["w.grip", [0.52 * h, 0.5 * h, 0]] },
            {
              kind: "line",
              what: "frame",
              through: [
                [0.52 * h, 0, 0],
                [0.52 * h, 0.56 * h, 0],
              ],
            },
          ] as const)
        : []),
    ],
    moves: "chest",
  });
};

export const lowering: Recipe = (k, b) => {
  const h = b.height;
  const load = loaded(k, b);
  const strong = k.is("assistance", "strong");
  const light = k.is("assistance", "light");
  const end = 62 * k.range;
  const arms = load.arms ?? {
    w: arm({ flexion: 34, elbow: 96, abduction: 8 }),
    o: arm({ flexion: 34, elbow: 96, abduction: 8 }),
  };
  const band = (y: number): Prop => ({ kind: "line", what: "band", through: ["chest", [-0.5 * h, y, 0]] });
  return figure({
    keys: [kneel(b, 2, arms), kneel(b, end, arms)],
    contacts: onPad(b),
    props: [
      mat(b),
      ...load.props,
      {
        kind: "line",
        what: "strap",
        through: [[-0.2 * h, 0, 0], { of: "w.ankle", plus: [0.01, 0.045, 0] }, [-0.27 * h, 0, 0]],
      },
      ...(strong ? [band(0.6 * h), band(0.7 * h)] : light ? [band(0.65 * h)] : []),
      ...(strong || light
        ? ([
            {
              kind: "line",
              what: "frame",
              through: [
                [-0.5 * h, 0, 0],
                [-0.5 * h, 0.74 * h, 0],
              ],
            },
          ] as const)
        : []),
    ],
    moves: "chest",
  });
};

export const halfKneeling: Recipe = (k, b) => {
  const h = b.height;
  const further = k.is("range", "full");
  const freeArm = k.is("support", "none");
  const forward = further ? 22 : 6;
  const thigh = -forward;
  const hipX = b.thigh * Math.sin(forward * radians);
  const y = kneeRadius(b) + 0.02;
  const hipY = y + b.thigh * Math.cos(forward * radians);
  const soleX =
    hipX + Math.sqrt(Math.max(0.01, hipToAnkle(b, further ? 106 : 92) ** 2 - (hipY - b.ankleHeight) ** 2));
  const at = pose({
    lie: "upright",
    pelvis: { pitch: -8 },
    spine: { flexion: 6, lean: 0, turn: 0 },
    legs: { w: leg({ room: true, hip: thigh, knee: 90 + thigh, ankle: -58 }), o: foot(b, soleX, {}, -1) },
    root: { point: "w.knee", x: 0, y, z: b.hipCentre },
    arms: freeArm ? { ...hands.hips(b), w: hands.overhead().w } : hands.hips(b),
  });
  const held = holding(k, b, [at]);
  return figure({
    keys: held.keys,
    timing: { kind: "hold" },
    props: [block("pad", [-0.1 * h, 0.08 * h], [0, 0.02], [0, 0.12 * h]), ...held.props],
  });
};
