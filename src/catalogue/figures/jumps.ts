import { armsUp, airborne, armsBack, bent, moved } from "./take-off";
import type { Prop } from "~/core/figure/figure";
import type { BodyLengths } from "~/core/pose/body-lengths";
import type { Pose } from "~/core/pose/pose";
import { block, loaded } from "./around";
import { boxJump, dropJump, stepOff } from "./landings";
import { type Knobs, type Recipe, figure, hands, reachTo } from "./parts";

export const held = (b: BodyLengths): Prop[] => [
  block(
    "table",
    [0.13 * b.height, 0.42 * b.height],
    [0.51 * b.height, 0.54 * b.height],
    [-0.2 * b.height, 0.2 * b.height],
  ),
  block(
    "table",
    [0.37 * b.height, 0.4 * b.height],
    [0, 0.51 * b.height],
    [-0.18 * b.height, 0.18 * b.height],
  ),
];
const onTable = (b: BodyLengths): Pose["arms"] => ({
  w: reachTo([0.16 * b.height, 0.57 * b.height, 0.12 * b.height]),
  o: reachTo([0.16 * b.height, 0.57 * b.height, -0.12 * b.height]),
});

export const soft = (k: Knobs, b: BodyLengths): Prop[] =>
  k.is("surface", "soft") ? [{ kind: "tufts", x: [-0.3 * b.height, 0.3 * b.height] }] : [];

/** Where each hop goes: forward, across or turning. */
function hopBy(k: Knobs, far: number): { x?: number; z?: number; turn?: number } {
  if (k.is("direction", "across")) return { z: far };
  if (k.is("direction", "rotational")) return { x: far * 0.5, turn: 50 };
  return { x: far };
}

const rebounds: Recipe = (k, b) => {
  const single = k.is("laterality", "single");
  const onHands = k.is("support", "two-hands");
  const free = hands.hips(b);
  const low = bent(b, { single, knee: 22 }, free);
  const turning = k.is("direction", "rotational");
  const by = single ? (turning ? { x: 0.1, turn: 40 } : { x: 0.22 }) : {};
  const high = {
    ...airborne(b, low, 0.07 * b.height, single ? { x: (by.x ?? 0) / 2, turn: (by.turn ?? 0) / 2 } : {}),
    arms: free,
  };
  const keys = single ? [low, high, moved(low, by)] : [low, high];
  return figure({
    viewDeg: turning ? 40 : 24,
    keys: keys.map((key) => (onHands ? { ...key, arms: onTable(b) } : key)),
    timing: { kind: "sequence", seconds: single ? [0.22, 0.22, 0.6] : [0.22, 0.22] },
    props: [
      ...(onHands ? held(b) : []),
      ...(turning
        ? ([
            { kind: "mark", x: 0.4 * b.height, z: 0.2 },
            { kind: "mark", x: -0.2 * b.height, z: -0.3 },
          ] as const)
        : []),
    ],
  });
};

const jumpSquat: Recipe = (k, b) => {
  const h = b.height;
  const knee = k.number("knee-angle", 45);
  const helped = k.is("assistance", "light");
  const forward = k.is("direction", "forward");
  const turning = k.is("direction", "rotational");
  const by = forward ? { x: (helped ? 0.06 : 0.28) * h } : turning ? { turn: 70 } : {};
  const low = bent(b, { single: false, knee });
  const high = airborne(b, low, (helped ? 0.04 : 0.13) * h, { x: (by.x ?? 0) / 2, turn: (by.turn ?? 0) / 2 });
  const grip = (p: Pose): Pose => ({
    ...p,
    arms: {
      w: reachTo([0.06 * h, 0.57 * h, 0.22 * h], [-1, -0.3, 0.4]),
      o: reachTo([0.06 * h, 0.57 * h, -0.22 * h], [-1, -0.3, 0.4]),
    },
  });
  const post = (z: number): Prop => block("rail", [0, 0.08 * h], [0, 0.56 * h], [z - 0.03, z + 0.03]);
  return figure({
    viewDeg: turning ? 42 : helped ? 40 : 24,
    keys: [low, high, moved(low, by)].map((key) => (helped ? grip(key) : key)),
    timing: { kind: "sequence", seconds: [0.35, 0.35, 1.2] },
    props: helped ? [post(0.22 * h), post(-0.22 * h)] : [],
  });
};

const lineHops: Recipe = (k, b) => {
  const h = b.height;
  const single = k.is("laterality", "single");
  const by = hopBy(k, 0.2 * h);
  const low = moved(bent(b, { single, knee: 24 }, hands.hips(b)), {
    x: by.x ? -by.x / 2 : 0,
    z: by.z ? -by.z / 2 : 0,
  });
  const high = {
    ...airborne(b, low, 0.06 * h, { x: (by.x ?? 0) / 2, z: (by.z ?? 0) / 2, turn: (by.turn ?? 0) / 2 }),
    arms: hands.hips(b),
  };
  const across = k.is("direction", "across");
  const square: Prop[] = k.is("direction", "rotational")
    ? [
        { kind: "mark", x: 0.25 * h, z: 0.25 * h },
        { kind: "mark", x: 0.25 * h, z: -0.25 * h },
        { kind: "mark", x: -0.25 * h, z: 0.25 * h },
      ]
    : [];
  return figure({
    viewDeg: across ? 78 : 30,
    keys: [low, high, moved(low, by), high],
    timing: { kind: "sequence", seconds: [0.2, 0.2, 0.2, 0.2] },
    props: [
      {
        kind: "line",
        what: "band",
        through: across
          ? [
              [-0.1, 0, 0],
              [0.3 * h, 0, 0],
            ]
          : [
              [0.03, 0, -0.3],
              [0.03, 0, 0.3],
            ],
      },
      ...square,
      ...soft(k, b),
    ],
  });
};

const distanceHop: Recipe = (k, b) => {
  const h = b.height;
  const single = k.is("laterality", "single");
  const reach = k.number("reach", 60) / 100;
  const crossing = k.is("direction", "rotational");
  const load = loaded(k, b);
  const aside = crossing ? 0.16 * h : 0;
  const low = moved(bent(b, { single, knee: 56 }, load.arms ?? armsBack()), { z: aside ? -aside : 0 });
  const landed = moved(bent(b, { single, knee: 62 }, load.arms ?? armsUp()), { x: reach, z: aside });
  const high = airborne(b, low, 0.1 * h, { x: reach / 2, z: aside });
  return figure({
    viewDeg: crossing ? 40 : 18,
    keys: [low, load.arms ? { ...high, arms: load.arms } : high, landed, landed],
    timing: { kind: "sequence", seconds: [0.35, 0.35, 1.4, 0.02] },
    props: [
      {
        kind: "arrow",
        from: [0.12 * h, -0.015, b.hipCentre + 0.1],
        to: [0.12 * h + reach, -0.015, b.hipCentre + 0.1],
        heads: "end",
      },
      ...(crossing
        ? ([
            {
              kind: "line",
              what: "band",
              through: [
                [-0.1, 0, 0],
                [reach + 0.3, 0, 0],
              ],
            },
          ] as const)
        : []),
      ...(load.arms
        ? ([{ kind: "ball", at: { of: "w.grip", plus: [0.03, 0.02, -0.08] }, radius: 0.1 }] as const)
        : []),
    ],
  });
};

export const jumpFigures: Readonly<Record<string, Recipe>> = {
  rebounds,
  "jump-squat": jumpSquat,
  "step-off-and-stick": stepOff,
  "drop-jump": dropJump,
  "line-hops": lineHops,
  "timed-hops": lineHops,
  "distance-hop": distanceHop,
  "box-jump": boxJump,
};
