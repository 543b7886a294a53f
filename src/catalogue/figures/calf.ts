import type { Prop } from "~/core/figure/figure";
import type { Pose, Sole } from "~/core/pose/pose";
import { block, chair, loaded } from "./around";
import {
  type Recipe,
  carrying,
  figure,
  foot,
  freeLeg,
  levelSeat,
  hands,
  leg,
  onFoot,
  onSeat,
  pose,
  reachTo,
  sitHeight,
} from "./parts";

const wallAhead = (x: number): Prop => ({ kind: "wall", x, z: [-0.4, 0.4], faces: -1 });

const heelRaise: Recipe = (k, b) => {
  const h = b.height;
  const onStep = k.is("raised", "both-feet");
  const y = onStep ? 0.16 : 0;
  const single = k.is("laterality", "single");
  const load = loaded(k, b);
  const wallX = 0.3 * h;
  const touch = (side: 1 | -1) => reachTo([wallX - 0.02, y + 0.82 * h, 0.1 * h * side]);
  const lifted = freeLeg({ hip: 32, knee: 66 });
  const stand = (pitch: number, other: Sole | null): Pose => {
    const under: Partial<Sole> = { y, pitch, pivot: "ball" };
    return pose({
      lie: "upright",
      legs: { w: carrying(2, 1, under), o: other ? carrying(2, 1, under) : lifted },
      root: onFoot(b, 0, y),
      arms: { w: load.props.length > 0 ? hands.hang().w : touch(1), o: touch(-1) },
      ...(other ? {} : { balance: { over: "w" as const, forward: false, sideways: true } }),
      pelvis: { pitch: 2 },
    });
  };
  const both = {} as Sole;
  const low = onStep ? -16 : 0;
  const props = [
    wallAhead(wallX),
    ...load.props,
    ...(onStep ? [block("step", [b.ball - 0.045, b.ball + 0.2 * h], [0, y], [-0.14 * h, 0.14 * h])] : []),
  ];
  if (k.is("laterality", "both-up-one-down")) {
    // Before both rise again the other foot is set down: lowered to just above the ground, then standing on it.
    const down = stand(0, null);
    const setDown: Pose = {
      ...down,
      legs: { ...down.legs, o: { ...foot(b, 0, { y, free: true }, -1), hip: 12, knee: 24, ankle: 12 } },
    };
    return figure({
      keys: [stand(0, both), stand(38, both), stand(38, null), down, setDown],
      timing: { kind: "sequence", seconds: [1, 0.8, 3, 0.6, 0.4], lowers: "back" },
      props,
      moves: "w.heel",
    });
  }
  return figure({
    keys: [stand(low, single ? null : both), stand(38, single ? null : both)],
    timing: { kind: "there-and-back", lowers: "back" },
    props,
    moves: "w.heel",
  });
};

const toeRaise: Recipe = (k, b) => {
  const h = b.height;
  const single = k.is("laterality", "single");
  const away = 0.2 * h;
  const slope = (Math.asin(away / (b.shank + b.thigh)) * 180) / Math.PI;
  const stand = (pitch: number) =>
    pose({
      lie: "upright",
      legs: {
        w: leg({ room: true, hip: slope, sole: { y: 0, pitch, turn: 0, free: false, pivot: "heel" } }),
        o: single
          ? leg({ room: true, hip: slope + 22, knee: 30 })
          : leg({ room: true, hip: slope, sole: { y: 0, pitch, turn: 0, free: false, pivot: "heel" } }),
      },
      root: { point: "w.heel", x: -b.heel, y: 0, z: b.hipCentre },
      arms: hands.crossed(b),
    });
  return figure({
    keys: [stand(0), stand(-24)],
    timing: { kind: "there-and-back", lowers: "back" },
    props: [
      { kind: "wall", x: -away - 0.075 * h, z: [-0.4, 0.4], faces: 1 },
      ...(k.is("perturbation", "band-foot")
        ? ([
            {
              kind: "line",
              what: "band",
              through: [{ of: "w.ball", plus: [0.02, 0.03, 0] }, [0.34 * h, 0, b.hipCentre]],
            },
          ] as const)
        : []),
    ],
    moves: "w.toe",
  });
};

/** Sitting with both feet under the knees; the heels go up. */
const seatedCalf: Recipe = (k, b) => {
  const h = b.height;
  const raised = k.is("raised", "both-feet");
  const y = raised ? 0.08 : 0;
  const single = k.is("laterality", "single");
  const load = loaded(k, b);
  const seat = levelSeat(b) + y;
  const at = (pitch: number) =>
    onSeat(
      b,
      {
        legs: {
          w: foot(b, b.thigh, { y, pitch, pivot: "ball" }, 1),
          o: single ? foot(b, b.thigh + 0.09 * h, {}, -1) : foot(b, b.thigh, { y, pitch, pivot: "ball" }, -1),
        },
        arms: {
          w: reachTo([b.thigh * 0.8, seat + sitHeight(b) + 0.07 * h, 0.06 * h]),
          o: reachTo([b.thigh * 0.8, seat + sitHeight(b) + 0.07 * h, -0.06 * h]),
        },
      },
      seat,
    );
  return figure({
    keys: [at(raised ? -14 : 0), at(28)],
    timing: { kind: "there-and-back", lowers: "back" },
    props: [
      ...chair(b, seat),
      ...load.props,
      ...(raised
        ? [
            block(
              "step",
              [b.thigh + b.ball - 0.04, b.thigh + b.ball + 0.16],
              [0, y],
              single ? [0.01, 0.13 * h] : [-0.12 * h, 0.12 * h],
            ),
          ]
        : []),
    ],
    moves: "w.heel",
  });
};

/** Long sitting on the floor, the sole pressed against a towel or a band held in both hands. */
const anklePress: Recipe = (k, b) => {
  const h = b.height;
  const share = k.range;
  const hip = 0.062 * h;
  const at = (ankle: number) =>
    pose({
      lie: "upright",
      legs: {
        w: leg({ room: true, hip: 91, knee: 3, ankle }),
        o: leg({ room: true, hip: 91, knee: 3, ankle: -4 }),
      },
      root: { point: "pelvis", x: 0, y: hip, z: 0 },
      pelvis: { pitch: 4 },
      spine: { flexion: 12 },
      arms: {
        w: reachTo([0.24 * h, 0.2 * h, 0.07 * h], [-0.6, -0.6, 0.6]),
        o: reachTo([0.24 * h, 0.2 * h, -0.07 * h], [-0.6, -0.6, 0.6]),
      },
    });
  const band = k.is("perturbation", "band-foot");
  const line = (hand: "w.grip" | "o.grip"): Prop => ({
    kind: "line",
    what: band ? "band" : "strap",
    through: [hand, { of: "w.ball", plus: [0.01, 0, 0] }],
  });
  return figure({
    keys: [at(8), at(8 - 48 * share)],
    props: [line("w.grip"), line("o.grip")],
    moves: "w.toe",
  });
};

const kneeToWall: Recipe = (k, b) => {
  const h = b.height;
  const reach = k.number("reach", 6) / 100;
  const toe = b.foot - b.heel;
  const wallX = toe + reach;
  const kneeFront = 0.031 * h;
  const shin = (Math.asin((wallX - kneeFront) / b.shank) * 180) / Math.PI;
  const load = loaded(k, b);
  const at = (slant: number) =>
    pose({
      lie: "upright",
      legs: {
        w: carrying(slant + 22, slant),
        o: foot(b, -0.17 * h, { pitch: 16, knee: [0.9, 0.2, 0] }, -1),
      },
      root: onFoot(b),
      pelvis: { pitch: 6 },
      arms: k.is("support", "two-hands")
        ? { w: reachTo([wallX - 0.03, 0.84 * h, 0.15 * h]), o: reachTo([wallX - 0.03, 0.84 * h, -0.15 * h]) }
        : hands.hips(b),
    });
  return figure({
    keys: [at(shin * 0.35), at(shin)],
    props: [
      wallAhead(wallX),
      ...load.props,
      ...(k.is("perturbation", "band-foot")
        ? ([
            {
              kind: "line",
              what: "band",
              through: [{ of: "w.ankle", plus: [0.03, 0, 0] }, [-0.5 * h, 0.03, b.hipCentre]],
            },
          ] as const)
        : []),
    ],
    moves: "w.knee",
  });
};

export const calfFigures: Readonly<Record<string, Recipe>> = {
  "calf-raise": heelRaise,
  "toe-raise": toeRaise,
  "seated-calf-press": seatedCalf,
  "ankle-press": anklePress,
  "knee-to-wall": kneeToWall,
};
