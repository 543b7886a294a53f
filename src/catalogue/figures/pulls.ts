import type { Prop } from "~/core/figure/figure";
import type { BodyLengths } from "~/core/pose/body-lengths";
import type { Pose } from "~/core/pose/pose";
import { resolvePose } from "~/core/pose/resolve-pose";
import { block, dumbbell } from "./around";
import { type Recipe, arm, carrying, figure, freeLeg, hands, onBoth, onFoot, pose, reachTo } from "./parts";

/** The bar in both hands. */
const barInHands = (b: BodyLengths): Prop => ({
  kind: "barbell",
  at: { of: "w.grip", plus: [0, -0.02, -0.105 * b.height] },
});

/** How high the grip of a pose is, metres. */
function gripHeight(b: BodyLengths, key: Pose): number {
  const resolved = resolvePose(b, key);
  return resolved.ok ? resolved.body.points["w.grip"][1] : 0.3;
}

const straightArms = (flexion = 0): Pose["arms"] => {
  const one = arm({ room: true, flexion, elbow: 2, abduction: 6 });
  return { w: one, o: one };
};

/** From blocks or the floor: the lower the bar begins, the more the knees and hips bend. */
export const deadlift: Recipe = (k, b) => {
  const share = k.range;
  const knee = 26 + 74 * (share - 0.5) * 2;
  const lean = 58 + 2 * (share - 0.5) * 2;
  const legs = carrying(knee, 0.2 * knee);
  const low = pose({
    lie: "upright",
    legs: { w: legs, o: legs },
    root: onFoot(b),
    pelvis: { pitch: lean },
    arms: straightArms(4),
  });
  const high = onBoth(b, 3, 1, { arms: straightArms(4) });
  const plates = gripHeight(b, low) - 0.15;
  return figure({
    keys: [low, high],
    timing: { kind: "there-and-back", lowers: "back" },
    props: [
      barInHands(b),
      // Only the far block: the near one would hide the legs.
      ...(plates > 0.08 ? [block("box", [-0.02, 0.34], [0, plates], [-0.62, -0.46])] : []),
    ],
    moves: "chest",
  });
};

/** Hips snap forward; the weight floats to the height of the chest. */
export const swing: Recipe = (k, b) => {
  const h = b.height;
  const single = k.is("load-place", "same-hand");
  const empty = k.is("load-place", "none");
  const back = arm({ room: true, flexion: -24, elbow: 2, abduction: -4 });
  const up = arm({ room: true, flexion: 78, elbow: 6, abduction: -4 });
  const free = arm({ room: true, flexion: 10, abduction: 26, elbow: 10 });
  const legs = carrying(24, -3, { turn: 8 });
  const low = pose({
    lie: "upright",
    legs: { w: legs, o: legs },
    root: onFoot(b),
    pelvis: { pitch: k.is("trunk", "leaning") ? 78 : 62 },
    arms: { w: back, o: single ? free : back },
  });
  const top = onBoth(b, 3, 1, { arms: { w: up, o: single ? free : up } });
  return figure({
    keys: [low, top],
    timing: { kind: "there-and-back", lowers: "back" },
    props: empty
      ? []
      : single
        ? [dumbbell("w", [0, 1, 0])]
        : [
            {
              kind: "weight",
              what: "dumbbell",
              at: { of: "w.grip", plus: [0, -0.04, -0.06 * h] },
              along: [0, 1, 0],
            },
          ],
    moves: "w.grip",
  });
};

/** The pelvis stays tipped forward and the low back keeps its hollow, all the way. */
export const tiltHinge: Recipe = (k, b) => {
  const h = b.height;
  const hollow = { flexion: -16, lean: 0, turn: 0 };
  const light = k.is("load-place", "goblet");
  const bar = k.is("load-place", "bar");
  const hips = hands.hips(b);
  const stand = (knee: number, pitch: number) => {
    const legs = carrying(knee, -0.1 * knee);
    return pose({
      lie: "upright",
      legs: { w: legs, o: legs },
      root: onFoot(b),
      pelvis: { pitch },
      spine: hollow,
      balance: { over: "both", forward: true, sideways: false },
      arms: bar ? straightArms(2) : light ? hands.chest(b) : hips,
    });
  };
  const deep = 18 + 46 * k.range;
  return figure({
    keys: [stand(8, 14), stand(20, deep)],
    props: [
      ...(light
        ? ([
            {
              kind: "weight",
              what: "plate",
              at: { of: "w.grip", plus: [0, 0, -0.06 * h] },
              along: [1, 0, 0],
            },
          ] as const)
        : []),
      ...(bar ? [barInHands(b)] : []),
    ],
    moves: "chest",
  });
};

/** Chest on a table, one leg lifted behind: for hips that bend and knees that may not. */
export const tableExtension: Recipe = (k, b) => {
  const h = b.height;
  const bent = k.is("lever", "short");
  const tableY = 0.5 * h;
  const at = (hip: number) =>
    pose({
      lie: "upright",
      legs: {
        w: freeLeg({ hip, knee: bent ? 80 : 4, ankle: 10 }),
        o: carrying(10, 4),
      },
      root: { point: "o.ball", x: b.ball, y: 0, z: -b.hipCentre },
      pelvis: { pitch: 82 },
      arms: {
        w: reachTo([0.52 * h, tableY + 0.03 * h, 0.14 * h], [-0.2, -0.4, 1]),
        o: reachTo([0.52 * h, tableY + 0.03 * h, -0.14 * h], [-0.2, -0.4, 1]),
      },
    });
  const weight = k.is("load-place", "ankle");
  return figure({
    keys: [at(bent ? 10 : -26), at(-68 - 16 * (k.range - 0.5) * 2)],
    timing: { kind: "there-and-back", lowers: "back" },
    props: [
      block("table", [0.06 * h, 0.62 * h], [tableY - 0.06 * h, tableY - 0.03 * h], [-0.2 * h, 0.2 * h]),
      block("table", [0.56 * h, 0.58 * h], [0, tableY - 0.06 * h], [-0.18 * h, 0.18 * h]),
      ...(weight ? ([{ kind: "ring", what: "cuff", limb: "w.shank", at: 0.88 }] as const) : []),
    ],
    moves: bent ? "w.knee" : "w.ankle",
  });
};

export const pullFigures: Readonly<Record<string, Recipe>> = {
  deadlift,
  swing,
  "tilt-hinge": tiltHinge,
  "table-extension": tableExtension,
};
