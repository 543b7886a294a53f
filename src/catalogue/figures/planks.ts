import { handOnHip } from "./side-lying";
import { palmOn, type Recipe, arm, figure, leg, pose, reachTo } from "./parts";
import type { BodyLengths } from "~/core/pose/body-lengths";
import type { Arm, Leg, Pose } from "~/core/pose/pose";
import { bandRound, block, touching } from "./around";
import { radians } from "./degrees";
import { ankleOnSole } from "./reach-out";

/** Slope of a body from shoulders to ankles, or to knees, that lie so high, degrees. */
export const slopeOf = (rise: number, length: number) =>
  Math.asin(Math.max(-1, Math.min(1, rise / length))) / radians;

export const kneeRadius = (b: BodyLengths) => 0.031 * b.height;

interface Line {
  /** Height of the shoulders. */
  readonly neckY: number;
  /** Height the toes stand on. */
  readonly soleY: number;
  readonly onKnees: boolean;
}

/** A body held straight on arms and toes, or on arms and knees; the shoulders at x = 0. */
export function plank(
  b: BodyLengths,
  { neckY, soleY, onKnees }: Line,
  arms: Pose["arms"],
  lifted?: (slope: number) => Leg,
): Pose {
  const pitch = 78;
  const [, up] = ankleOnSole(b, pitch);
  const slope = onKnees
    ? slopeOf(neckY - kneeRadius(b) - soleY, b.trunk + b.thigh)
    : slopeOf(neckY - up - soleY, b.trunk + b.thigh + b.shank);
  const planted = (): Leg =>
    onKnees
      ? leg({ hip: 0, knee: slope + 14, ankle: -40 })
      : leg({ sole: { y: soleY, pitch, turn: 0, free: false } });
  return pose({
    lie: "prone",
    pelvis: { pitch: slope === 0 ? 0 : -slope },
    neck: { flexion: -10 },
    legs: { w: lifted?.(slope) ?? planted(), o: planted() },
    root: { point: "neck", x: 0, y: neckY, z: 0 },
    arms,
  });
}

/** Forearms on ground of a height, elbows under the shoulders. */
export const forearms = (b: BodyLengths, y = 0): Pose["arms"] => {
  const at = (side: 1 | -1): Arm =>
    reachTo([b.forearm + b.grip, y + 0.022 * b.height, b.shoulderCentre * side], [0.2, -0.8, 0]);
  return { w: at(1), o: at(-1) };
};
export const forearmHeight = (b: BodyLengths, y = 0) => y + b.upperArm + 0.022 * b.height;

export const frontPlank: Recipe = (k, b) => {
  const h = b.height;
  const ball = k.is("surface", "unstable");
  const y = ball ? 0.24 * h : 0;
  const line = { neckY: forearmHeight(b, y), soleY: 0, onKnees: k.is("lever", "short") };
  const up = k.is("laterality", "single")
    ? (slope: number) =>
        line.onKnees ? leg({ hip: -18, knee: slope + 10, ankle: -44 }) : leg({ hip: -16, ankle: -44 })
    : undefined;
  return figure({
    keys: [plank(b, line, forearms(b, y), up)],
    contacts: touching(["w.grip", y + 0.022 * h], ["o.grip", y + 0.022 * h]),
    timing: { kind: "hold" },
    props: ball ? [{ kind: "ball", at: [0.07 * h, 0.12 * h, 0], radius: 0.12 * h }] : [],
  });
};

export const plankLift: Recipe = (k, b) => {
  const line = { neckY: forearmHeight(b), soleY: 0, onKnees: k.is("lever", "short") };
  const arms = forearms(b);
  const reach = k.is("attention", "second-task");
  const low = line.onKnees ? 14 : 6;
  const up = () => leg({ hip: -low - 14, knee: 0, ankle: -10 });
  const down = () => leg({ hip: -low, knee: 0, ankle: -44 });
  const away = { ...arms, o: arm({ flexion: 160, elbow: 6, abduction: 8 }) };
  return figure({
    keys: [plank(b, line, arms, down), plank(b, line, reach ? away : arms, up)].map((key, n) =>
      reach
        ? { ...key, arms: n === 0 ? { ...arms, o: arm({ flexion: 140, elbow: 10, abduction: 8 }) } : away }
        : key,
    ),
    timing: { kind: "there-and-back", lowers: "back" },
    moves: "w.ankle",
  });
};

export const pushUp: Recipe = (k, b) => {
  const h = b.height;
  const handsY = k.is("raised", "front-foot") ? 0.35 : 0;
  const soleY = k.is("raised", "both-feet") ? 0.25 : 0;
  const onKnees = k.is("lever", "short");
  const at = (share: number) => {
    const neckY = handsY + (0.33 - 0.2 * share) * h;
    const hand = (side: 1 | -1): Arm =>
      palmOn([0.02 * h, handsY + 0.012 * h, 0.125 * h * side], [-0.5, 0, 1]);
    return plank(b, { neckY, soleY, onKnees }, { w: hand(1), o: hand(-1) });
  };
  const length = b.trunk + b.thigh + b.shank;
  return figure({
    keys: [0, 0.25, 0.5, 0.75, 1].map((share) => at(share * k.range)),
    contacts: touching(["w.wrist", handsY + 0.012 * h], ["o.wrist", handsY + 0.012 * h]),
    props: [
      ...(handsY ? [block("bench", [-0.05 * h, 0.16 * h], [0, handsY], [-0.2 * h, 0.2 * h])] : []),
      ...(soleY
        ? [block("step", [-length - 0.02 * h, -length + 0.22 * h], [0, soleY], [-0.13 * h, 0.13 * h])]
        : []),
    ],
    moves: "chest",
  });
};

/** A body held straight on one forearm and the side of the feet, or of the knees; the working side below. */
function sidePlank(b: BodyLengths, soleY: number, onKnees: boolean, top: Leg): Pose {
  const shoulder = b.upperArm + 0.022 * b.height;
  const length = b.trunk + b.thigh + (onKnees ? 0 : b.shank);
  const end = soleY + (onKnees ? 0.03 : 0.036) * b.height;
  const neckY = (slope: number) => shoulder + b.shoulderCentre * Math.cos(slope * radians);
  let slope = 20;
  for (let n = 0; n < 20; n += 1) {
    const hipDrop = b.hipCentre * Math.cos(slope * radians);
    slope = slopeOf(neckY(slope) - hipDrop - end, length);
  }
  return pose({
    lie: "side-down",
    pelvis: { lean: -slope },
    legs: { w: onKnees ? leg({ knee: 86, ankle: -54 }) : leg({ hip: 0, knee: 0, ankle: 4 }), o: top },
    arms: {
      w: reachTo([-0 * b.height + 0.02, 0.022 * b.height, b.forearm + b.grip], [0, -0.5, 0.6]),
      o: handOnHip(b),
    },
    root: { point: "neck", x: -b.shoulderCentre * Math.sin(slope * radians) + 0.02, y: neckY(slope), z: 0 },
  });
}

export const sidePlankHold: Recipe = (k, b) => {
  const h = b.height;
  const onKnees = k.is("lever", "short");
  const raised = k.is("raised", "both-feet");
  const soleY = raised ? 0.2 : 0;
  const single = k.is("laterality", "single");
  const top = onKnees
    ? leg({ knee: 86, ankle: -54, abduction: single ? 22 : 0 })
    : single
      ? leg({ abduction: 24, ankle: 4 })
      : leg({ hip: 9, ankle: 4, abduction: -3 });
  const length = b.trunk + b.thigh + b.shank;
  return figure({
    keys: [sidePlank(b, soleY, onKnees, top)],
    contacts: touching(["w.grip", 0.022 * h]),
    timing: { kind: "hold" },
    props: raised
      ? [block("step", [length - 0.12 * h, length + 0.06 * h], [0, soleY], [-0.1 * h, 0.18 * h])]
      : [],
  });
};

export const sidePlankLift: Recipe = (k, b) => {
  const onKnees = k.is("lever", "short");
  const at = (out: number) =>
    sidePlank(b, 0, onKnees, leg({ abduction: out, ankle: 4, knee: onKnees ? 4 : 0 }));
  return figure({
    keys: [at(2), at(30)],
    timing: { kind: "there-and-back", lowers: "back" },
    props: bandRound(k),
    moves: "o.ankle",
  });
};

/** The upper leg rests on a bench; the working leg below it lifts to it, and with it the hips. */
export const adductionPlank: Recipe = (k, b) => {
  const h = b.height;
  const short = k.is("lever", "short");
  const bench = 0.34;
  const neckY = b.upperArm + 0.022 * h + b.shoulderCentre;
  const resting = b.thigh + (short ? 0 : b.shank);
  // Shoulders, hips and the end that lies on the bench in one line when the hips are up.
  const drop = neckY + b.hipCentre - bench - 0.036 * h;
  const straight = slopeOf(drop, b.trunk + resting);
  const at = (sag: number, apart: number) => {
    const trunk = straight + sag;
    const pelvisY = neckY - b.trunk * Math.sin(trunk * radians);
    // The working leg hangs no lower than the floor.
    const lowest = slopeOf(pelvisY - b.hipCentre - 0.05 * h, b.thigh + b.shank);
    const rest = slopeOf(drop - b.trunk * Math.sin(trunk * radians), resting);
    return pose({
      lie: "side-down",
      pelvis: { lean: -trunk },
      legs: {
        w: leg({ abduction: Math.min(apart, lowest - trunk), ankle: 4 }),
        o: leg({ abduction: trunk - rest, knee: short ? 84 : 0, ankle: 4 }),
      },
      arms: { w: reachTo([0.02, 0.022 * h, b.forearm + b.grip], [0, -0.5, 0.6]), o: handOnHip(b) },
      root: { point: "neck", x: 0.02, y: neckY, z: 0 },
    });
  };
  const end = (b.trunk + resting) * Math.cos(straight * radians);
  const z: [number, number] = [-0.1 * h, 0.1 * h];
  const full = k.is("range", "full");
  return figure({
    keys: [at(full ? 8 : 4, full ? -1 : 2), at(k.is("contraction", "isometric") && !full ? 2 : 0, -3)],
    timing: { kind: "there-and-back", lowers: "back" },
    props: [
      block("bench", [end - 0.1 * h, end + 0.12 * h], [bench - 0.04, bench], z),
      block("bench", [end + 0.08 * h, end + 0.11 * h], [0, bench - 0.04], z),
    ],
    moves: "pelvis",
  });
};
