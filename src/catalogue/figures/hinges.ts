import type { Prop } from "~/core/figure/figure";
import { block, loaded } from "./around";
import { bendToTouch } from "./bend-to";
import { type Recipe, arm, carrying, figure, foot, freeLeg, hands, onFoot, onOne, pose } from "./parts";
import { holding } from "./support";

const hinge: Recipe = (k, b) => {
  const h = b.height;
  const load = loaded(k, b);
  const behind = k.is("laterality", "staggered");
  const stick = !load.arms;
  const arms = load.arms ?? {
    w: arm({ reach: { in: "pelvis", at: [-0.085 * h, 0.06 * h, 0.02 * h], elbowTo: [-0.6, 0, 1] } }),
    o: arm({ reach: { in: "chest", at: [-0.075 * h, 0.09 * h, -0.08 * h], elbowTo: [0.1, -0.3, 1] } }),
  };
  const stand = (knee: number, shin: number, pitch: number) =>
    pose({
      lie: "upright",
      legs: {
        w: carrying(knee, shin),
        o: behind ? foot(b, -0.15 * h, { pitch: 30, knee: [0.9, 0.2, 0] }, -1) : carrying(knee, shin),
      },
      root: onFoot(b),
      pelvis: { pitch },
      balance: { over: behind ? "w" : "both", forward: true, sideways: false },
      arms,
    });
  const props: Prop[] = [
    ...load.props,
    ...(stick
      ? ([
          {
            kind: "line",
            what: "stick",
            through: [
              { of: "w.grip", plus: [0, 0, 0] },
              { of: "o.grip", plus: [0, 0, 0] },
            ],
          },
        ] as const)
      : []),
  ];
  return figure({ keys: [stand(6, 2, 2), stand(22, -4, 60)], props, moves: "chest" });
};

const singleHinge: Recipe = (k, b) => {
  const load = loaded(k, b);
  const free = (back: number) => freeLeg({ hip: -back, knee: back < 20 ? 24 : 6, ankle: 18 });
  const arms = load.arms ?? hands.hang();
  const stand = (share: number) =>
    onOne(b, 3 + 17 * share, 1 + 2 * share, free(7 + 72 * share), {
      arms,
      pelvis: { pitch: 74 * share },
    });
  const held = holding(k, b, [stand(0), stand(k.range)], "wall");
  return figure({ keys: held.keys, props: [...held.props, ...load.props], moves: "chest" });
};

/** One foot stands, the other hovers over a place some centimetres away. */
const threeWay: Recipe = (k, b) => {
  const h = b.height;
  const soft = k.is("surface", "soft") ? 0.06 : 0;
  const reach = k.number("reach", 30) / 100;
  const way: Record<string, [number, number]> = {
    back: [-1, 0],
    "back-across": [-0.75, 0.55],
    across: [0.62, 0.78],
    outward: [-0.12, 1],
    forward: [1, 0],
  };
  const direction = Object.keys(way).find((value) => k.is("direction", value)) ?? "forward";
  const [dx, dz] = way[direction] ?? [1, 0];
  const forward = direction === "forward";
  const aside = direction === "outward";
  const crossing = direction === "across";
  // Reaching forward the shin travels and the pelvis turns after the foot.
  const share = forward ? 0.46 : crossing ? 0.38 : aside ? 0.37 : 0.3;
  const turn = forward ? 32 : crossing ? 20 : 0;
  const hipAhead = b.hipCentre * Math.sin((turn * Math.PI) / 180);
  const target: [number, number] = [dx * reach, -b.hipCentre + dz * reach * (aside ? -1 : 1)];
  const bend = bendToTouch(b, share, {
    x: target[0] - hipAhead,
    y: b.ankleHeight + 0.035 * h,
    aside: Math.abs(target[1] + b.hipCentre) + (aside ? 0.03 : 0.06) * h,
  });
  const stand = (gone: number) =>
    onOne(
      b,
      6 + (bend - 6) * gone,
      share * (6 + (bend - 6) * gone),
      foot(
        b,
        0.03 * h + (target[0] - 0.03 * h) * gone,
        {
          y: soft + 0.05 * h - 0.02 * h * gone,
          z: -b.hipCentre + (target[1] + b.hipCentre) * gone,
          pitch: dx < 0 ? 24 * gone : -6 * gone,
          free: true,
          ...(aside ? { knee: [0.4, 1, 0] } : {}),
        },
        -1,
      ),
      {
        arms: hands.hips(b),
        pelvis: { turn: turn * gone, lean: aside ? -12 * gone : 0 },
        balance: { over: "w", forward: true, sideways: !forward && !aside && !crossing },
      },
      { y: soft },
    );
  const held = holding(k, b, [stand(0), stand(1)]);
  return figure({
    viewDeg: aside ? 78 : crossing ? 60 : direction === "back-across" ? -28 : 22,
    keys: held.keys,
    props: [
      { kind: "mark", x: target[0] + (dx >= 0 ? 0.16 * h : -0.02 * h), z: target[1] - 0.02 },
      ...(soft ? [block("mat", [-0.16 * h, 0.2 * h], [0, soft], [-0.02 * h, 0.13 * h])] : []),
      ...held.props,
    ],
    moves: "o.ankle",
  });
};

export const hingeFigures: Readonly<Record<string, Recipe>> = {
  hinge,
  "single-leg-hinge": singleHinge,
  "three-way-reach": threeWay,
};
