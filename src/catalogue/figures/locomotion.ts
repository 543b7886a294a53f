import type { Prop } from "~/core/figure/figure";
import type { BodyLengths } from "~/core/pose/body-lengths";
import type { Arm, Leg, Pose } from "~/core/pose/pose";
import { bandRound, loaded } from "./around";
import { letFly } from "./let-fly";
import { type Knobs, type Recipe, arm, figure, foot, freeLeg, hands, pose, reachTo } from "./parts";
import { swapped } from "./swap-sides";

const swing = (flexion: number, elbow: number): Arm => arm({ flexion, elbow, abduction: 6, room: true });

/** A leg in the air that turns with a pelvis tipped forward so far. */
const flying = (hip: number, knee: number, pitch: number): Leg => ({
  ...freeLeg({ hip, knee }),
  room: false,
  hip: hip + pitch,
});

interface Gait {
  /** Step length, heel to heel, metres. */
  readonly step: number;
  /** Distance between the lines the feet follow, from the middle, metres. */
  readonly aside: number;
  readonly lean: number;
  readonly arms?: Pose["arms"];
  readonly turn?: number;
  readonly look?: number;
}

/** Four keys of walking on the spot: the working heel lands, the other passes, the other heel lands, the working one passes. */
function walking(b: BodyLengths, { step, aside, lean, arms, turn = 0, look = 0 }: Gait): Pose[] {
  const h = b.height;
  const base = (legs: Pose["legs"], y: number, swingOf: number): Pose =>
    pose({
      lie: "upright",
      pelvis: { pitch: lean, turn },
      neck: { flexion: 0, turn: look },
      legs,
      root: { point: "pelvis", x: 0, y, z: 0 },
      arms: arms ?? { w: swing(-22 * swingOf, 14), o: swing(22 * swingOf, 18) },
    });
  const landing = base(
    {
      w: foot(b, step / 2, { z: aside, pitch: -16 }, 1),
      o: foot(b, -step / 2 + 0.02 * h, { z: -aside, pitch: 34, knee: [0.9, -0.1, 0] }, -1),
    },
    standingOver(b, step / 2),
    1,
  );
  const passing = base(
    {
      w: foot(b, 0, { z: aside }, 1),
      o: foot(b, -0.02 * h, { z: -aside, y: 0.06 * h, pitch: 16, free: true }, -1),
    },
    0.517 * h,
    0,
  );
  return [landing, passing, swapped(landing), swapped(passing)];
}

/** Height of the hips at which legs reach the ground half a step ahead and behind, a little loose. */
const standingOver = (b: BodyLengths, ahead: number) =>
  b.ankleHeight + Math.sqrt((0.985 * (b.thigh + b.shank)) ** 2 - (ahead + 0.02 * b.height) ** 2);

const sideRail = (b: BodyLengths, z: number): Prop => ({
  kind: "side-wall",
  z,
  x: [-0.5, 0.5],
  height: 1.1 * b.height,
});

const lineWalk: Recipe = (k, b) => {
  const h = b.height;
  const wide = k.is("stance-width", "wide");
  const held = k.is("support", "one-hand");
  const turning = k.is("direction", "rotational");
  const cup = k.is("attention", "second-task");
  const arms: Pose["arms"] = {
    w: cup ? arm({ flexion: 24, elbow: 74, abduction: 4 }) : hands.out().w,
    o: held ? reachTo([0.16 * h, 0.62 * h, -0.3 * h]) : hands.out().o,
  };
  return figure({
    viewDeg: 62,
    keys: walking(b, {
      step: wide ? 0.26 * h : 0.16 * h,
      aside: wide ? 0.06 * h : 0.004 * h,
      lean: 2,
      arms,
      look: turning ? 46 : 0,
    }).map((key) => ({ ...key, arms })),
    timing: { kind: "sequence", seconds: [0.7, 0.5, 0.7, 0.5] },
    props: [
      {
        kind: "line",
        what: "strap",
        through: [
          [-0.5 * h, 0, 0],
          [0.6 * h, 0, 0],
        ],
      },
      ...(held ? [sideRail(b, -0.33 * h)] : []),
      ...(turning
        ? marksAlong([
            [0.5 * h, 0.12 * h],
            [-0.4 * h, -0.1 * h],
          ])
        : []),
      ...(cup ? ([{ kind: "weight", what: "cup", at: "w.grip", along: [0, 1, 0] }] as const) : []),
    ],
  });
};

const walk: Recipe = (k, b) => {
  const h = b.height;
  const speed = k.number("speed", 30);
  const two = k.is("support", "two-hands");
  const one = k.is("support", "one-hand");
  const soft = k.is("surface", "soft");
  const stick = (side: 1 | -1): Arm => reachTo([0.14 * h, 0.5 * h, 0.15 * h * side], [-1, -0.2, 0.3]);
  const keys = walking(b, { step: (0.16 + 0.0035 * speed) * h, aside: 0.035 * h, lean: 1 + speed * 0.06 });
  const withSticks = keys.map((key): Pose => ({
    ...key,
    arms: { w: two ? stick(1) : key.arms.w, o: two || one ? stick(-1) : key.arms.o },
  }));
  const pole = (hand: "w.grip" | "o.grip", z: number): Prop => ({
    kind: "line",
    what: "stick",
    through: [hand, [0.18 * h, 0, z]],
  });
  return figure({
    viewDeg: 26,
    keys: withSticks,
    timing: { kind: "sequence", seconds: [0.6, 0.5, 0.6, 0.5].map((part) => (part * 36) / (speed + 6)) },
    props: [
      ...(two ? [pole("w.grip", 0.16 * h)] : []),
      ...(two || one ? [pole("o.grip", -0.16 * h)] : []),
      ...(soft ? ([{ kind: "tufts", x: [-0.5 * h, 0.5 * h] }] as const) : []),
    ],
  });
};

const carry: Recipe = (k, b) => {
  const h = b.height;
  const load = loaded(k, b);
  const keys = walking(b, { step: 0.26 * h, aside: 0.035 * h, lean: 2 });
  return figure({
    viewDeg: 34,
    keys: keys.map((key) => ({ ...key, arms: load.arms ?? key.arms })),
    timing: { kind: "sequence", seconds: [0.6, 0.5, 0.6, 0.5] },
    props: load.props,
  });
};

interface Run {
  readonly speed: number;
  readonly turn: number;
  readonly lean: number;
}

/** Four keys of running: the working foot carries, pushes off into flight, then the other does. */
function running(b: BodyLengths, { speed, turn, lean }: Run): Pose[] {
  const h = b.height;
  const s = speed / 100;
  const trunk = { pitch: 4 + 8 * s, lean, turn };
  const at = (legs: Pose["legs"], y: number, w: number, o: number): Pose =>
    pose({
      lie: "upright",
      pelvis: trunk,
      legs,
      root: { point: "pelvis", x: 0, y, z: 0 },
      arms: { w: swing(w, 88), o: swing(o, 88) },
    });
  const carrying = (toes: number) =>
    at(
      { w: foot(b, 0.05 * h, { z: 0.03 * h, turn: toes }, 1), o: flying(-4, 62 + 50 * s, trunk.pitch) },
      0.478 * h,
      -8,
      16,
    );
  const flight = at(
    { w: flying(-16 - 10 * s, 18, trunk.pitch), o: flying(34 + 36 * s, 64 + 24 * s, trunk.pitch) },
    (0.535 + 0.03 * s) * h,
    40,
    -38,
  );
  // The other half of the cycle is the same with sides changed, but turns and leans the same way.
  const half = (key: Pose) => swapped({ ...key, pelvis: { ...trunk, lean: -lean, turn: -turn } });
  return [carrying(turn), flight, half(carrying(-turn)), half(flight)].map((key) => letFly(b, key));
}

const marksAlong = (places: readonly [number, number][]): Prop[] =>
  places.map(([x, z]) => ({ kind: "mark", x, z }));

/** What a direction shows while somebody runs: where they turn to, and the marks they run round. */
const ways: Record<string, { turn: number; lean: number; view: number; marks: [number, number][] }> = {
  forward: { turn: 0, lean: 0, view: 24, marks: [] },
  rotational: {
    turn: 34,
    lean: 9,
    view: 34,
    marks: [
      [0.55, 0.35],
      [-0.6, -0.2],
    ],
  },
};

const run =
  (own: Partial<typeof ways> = {}): Recipe =>
  (k, b) => {
    const speed = k.number("speed", 70);
    const table: Record<string, (typeof ways)[string] | undefined> = { ...ways, ...own };
    const direction = Object.keys(table).find((value) => k.is("direction", value)) ?? "forward";
    const way = table[direction] ?? (ways["forward"] as (typeof ways)[string]);
    return figure({
      viewDeg: way.view,
      keys: running(b, { speed, turn: way.turn, lean: way.lean }),
      timing: {
        kind: "sequence",
        seconds: [0.22, 0.3, 0.22, 0.3].map((part) => (part * 110) / (speed + 40)),
      },
      props: [
        ...marksAlong(way.marks),
        ...(k.is("surface", "soft")
          ? ([{ kind: "tufts", x: [-0.4 * b.height, 0.5 * b.height] }] as const)
          : []),
      ],
    });
  };

/** Shuffling sideways between two marks, low, the feet never crossing. */
const shuffle = (k: Knobs, b: BodyLengths) => {
  const h = b.height;
  const s = k.number("speed", 70) / 100;
  const wide = (0.1 + 0.12 * s) * h;
  const at = (out: number, y: number, lift: number): Pose =>
    pose({
      lie: "upright",
      pelvis: { pitch: 26 },
      legs: {
        w: foot(b, 0.02 * h, { z: b.hipCentre + out, y: lift, free: true, turn: 6 }, 1),
        o: foot(b, 0.02 * h, { z: -b.hipCentre - out, free: true, turn: 6 }, -1),
      },
      root: { point: "pelvis", x: -0.06 * h, y, z: 0 },
      arms: { w: swing(24, 80), o: swing(24, 80) },
    });
  return figure({
    viewDeg: 82,
    keys: [at(0.02 * h, 0.46 * h, 0), at(wide, 0.43 * h, 0.03 * h)],
    timing: { kind: "sequence", seconds: [0.35, 0.35] },
    props: [
      ...marksAlong([
        [0, 0.42 * h],
        [0, -0.42 * h],
      ]),
      { kind: "arrow", from: [0, 0.02, -0.36 * h], to: [0, 0.02, 0.36 * h], heads: "both" },
      ...bandRound(k),
    ],
  });
};

const cutting: Recipe = (k, b) =>
  k.is("direction", "across")
    ? shuffle(k, b)
    : run({
        forward: {
          turn: 16,
          lean: 5,
          view: 30,
          marks: [
            [0.5, 0.3],
            [-0.1, -0.45],
            [-0.65, 0.3],
          ],
        },
        rotational: { turn: 62, lean: 10, view: 40, marks: [[0.4, 0.1]] },
      })(k, b);

export const locomotionFigures: Readonly<Record<string, Recipe>> = {
  "line-walk": lineWalk,
  "brisk-walk": walk,
  carry,
  running: run(),
  "steady-run": run(),
  strides: run({
    rotational: {
      turn: 20,
      lean: 12,
      view: 30,
      marks: [
        [0.6, 0.3],
        [0, 0.5],
        [-0.6, 0.3],
      ],
    },
  }),
  "cutting-drills": cutting,
};
