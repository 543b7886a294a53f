import type { Prop } from "~/core/figure/figure";
import { block } from "./around";
import { type Recipe, carrying, figure, foot, freeLeg, hands, onFoot, onOne, pose, reachTo } from "./parts";
import { onOtherLeg } from "./on-other-leg";
import { holding } from "./support";
import { onOther } from "./swap-sides";

export const doorPress: Recipe = (k, b) => {
  const h = b.height;
  const short = k.is("lever", "short");
  const out = short ? 14 : 9;
  const stand = onOtherLeg(
    b,
    freeLeg(short ? { abduction: out, hip: 26, knee: 52 } : { abduction: out, hip: 3, knee: 4 }),
  );
  const post = (z: number): Prop => ({
    kind: "line",
    what: "frame",
    through: [
      [0.1 * h, 0, z],
      [0.1 * h, 1.14 * h, z],
    ],
  });
  const right = short ? 0.155 * h : 0.15 * h;
  const left = -0.24 * h;
  const arms = k.is("support", "two-hands")
    ? {
        w: reachTo([0.08 * h, 0.72 * h, right - 0.01], [-0.2, -1, 1]),
        o: reachTo([0.08 * h, 0.72 * h, left + 0.01], [-0.2, -1, 1]),
      }
    : hands.hips(b);
  return figure({
    viewDeg: 84,
    keys: [{ ...stand, arms }],
    timing: { kind: "hold" },
    props: [
      post(right),
      post(left),
      {
        kind: "line",
        what: "frame",
        through: [
          [0.1 * h, 1.14 * h, left],
          [0.1 * h, 1.14 * h, right],
        ],
      },
      { kind: "press", at: short ? "w.knee" : "w.ankle", towards: [0, 0, 1] },
    ],
  });
};

/** A straight leg pressed back into a wall: through a ball behind the knee, or with the heel. */
export const wallPress: Recipe = (k, b) => {
  const h = b.height;
  const short = k.is("lever", "short");
  const back = short ? 10 : 13;
  const stand = onOther(b, 3, 1, freeLeg({ hip: -back, knee: 2, ankle: 16 }), {
    arms: hands.hips(b),
    balance: { over: "w", forward: false, sideways: true },
    pelvis: { pitch: 3 },
  });
  const held = holding(k, b, [stand]);
  const radius = 0.04 * h;
  const wallX = short
    ? -0.031 * h - 2 * radius - 0.02 * h
    : -(b.shank + b.thigh) * Math.sin((back * Math.PI) / 180) - 0.05 * h;
  return figure({
    keys: held.keys,
    timing: { kind: "hold" },
    props: [
      { kind: "wall", x: wallX, z: [-0.4, 0.4], faces: 1 },
      ...held.props,
      ...(short
        ? ([{ kind: "ball", at: { of: "w.knee", plus: [-0.031 * h - radius, -0.01, 0] }, radius }] as const)
        : []),
      { kind: "press", at: short ? "w.knee" : "w.heel", towards: [-1, 0, 0] },
    ],
  });
};

export const terminalExtension: Recipe = (k, b) => {
  const h = b.height;
  const [to, from] = k.arc([0, 20]);
  const single = k.is("laterality", "single");
  const stand = (knee: number) =>
    pose({
      lie: "upright",
      legs: {
        w: carrying(knee, knee * 0.62),
        o: single
          ? freeLeg({ hip: 32, knee: 64 })
          : foot(b, -0.13 * h, { pitch: 14, knee: [0.9, 0.2, 0] }, -1),
      },
      root: onFoot(b),
      pelvis: { pitch: 4 },
      arms: hands.hips(b),
      ...(single ? { balance: { over: "w" as const, forward: false, sideways: true } } : {}),
    });
  const held = holding(k, b, [stand(from), stand(to)]);
  return figure({
    keys: held.keys,
    timing: { kind: "there-and-back", lowers: "back" },
    props: [
      ...held.props,
      {
        kind: "line",
        what: "band",
        through: [{ of: "w.knee", plus: [-0.03 * h, 0.01, 0] }, [0.5 * h, 0.285 * h, b.hipCentre]],
      },
      {
        kind: "line",
        what: "frame",
        through: [
          [0.5 * h, 0, b.hipCentre],
          [0.5 * h, 0.36 * h, b.hipCentre],
        ],
      },
    ],
    moves: "w.knee",
  });
};

export const stance: Recipe = (k, b) => {
  const h = b.height;
  const soft = k.is("surface", "soft") ? 0.06 : 0;
  const mat = soft ? [block("mat", [-0.16 * h, 0.2 * h], [0, soft], [-0.04 * h, 0.14 * h])] : [];
  if (k.is("laterality", "staggered")) {
    const tandem = pose({
      lie: "upright",
      legs: { w: foot(b, -b.foot / 2, { z: 0, y: soft }, 1), o: foot(b, b.foot / 2, { z: 0, y: soft }, -1) },
      root: { point: "pelvis", x: 0, y: 0.513 * h + soft, z: 0 },
      arms: hands.out(),
    });
    const held = holding(k, b, [tandem]);
    return figure({ viewDeg: 40, keys: held.keys, timing: { kind: "hold" }, props: [...mat, ...held.props] });
  }
  const single = onOne(
    b,
    9,
    3,
    k.is("free-leg", "ahead")
      ? freeLeg({ hip: 46, knee: 40 })
      : freeLeg(k.is("free-leg", "behind") ? { hip: -10, knee: 72 } : { hip: 12, knee: 66 }),
    { arms: k.is("support", "none") ? hands.out() : hands.hips(b) },
    { y: soft },
  );
  const held = holding(k, b, [single]);
  return figure({ viewDeg: 45, keys: held.keys, timing: { kind: "hold" }, props: [...mat, ...held.props] });
};
