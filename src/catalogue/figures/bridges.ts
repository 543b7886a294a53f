import type { Prop } from "~/core/figure/figure";
import type { BodyLengths } from "~/core/pose/body-lengths";
import type { Leg, Pose } from "~/core/pose/pose";
import { block, loaded, touching } from "./around";
import { type Recipe, figure, foot, hands, leg, lyingHeight, pose } from "./parts";
import { ankleOnSole } from "./reach-out";

interface Span {
  /** Slope of the trunk, degrees: the hips higher than the shoulders. */
  readonly slope: number;
  /** Where the sole stands, forward of the shoulders. */
  readonly soleX: number;
}

/**
 * The top of a bridge: shoulders, hips and knees in one line, the knee bent so, the sole on ground of a height.
 */
export function bridgeTop(
  b: BodyLengths,
  kneeDeg: number,
  shoulderY: number,
  soleY: number,
  pitch: number,
): Span {
  const [forward, rise] = ankleOnSole(b, pitch);
  const line = b.trunk + b.thigh;
  const knee = (kneeDeg * Math.PI) / 180;
  const ankleHeight = (slope: number) =>
    shoulderY + line * Math.sin(slope) + b.shank * Math.sin(slope - knee);
  let [low, high] = [-0.6, 1.2];
  for (let n = 0; n < 40; n += 1) {
    const middle = (low + high) / 2;
    if (ankleHeight(middle) < soleY + rise) low = middle;
    else high = middle;
  }
  const slope = (low + high) / 2;
  const ankleX = line * Math.cos(slope) + b.shank * Math.cos(slope - knee);
  return { slope: (slope * 180) / Math.PI, soleX: ankleX - forward };
}

interface Bridge {
  readonly knee: number;
  readonly soleY: number;
  readonly pitch: number;
  readonly shoulderY: number;
  readonly other: Leg | "planted";
  readonly arms?: Pose["arms"];
  readonly neckFlexion?: number;
}

/** Keys of a bridge: hips down, hips up; the shoulders stay. A free leg moves with the pelvis. */
export function bridge(
  b: BodyLengths,
  { knee, soleY, pitch, shoulderY, other, arms = hands.beside(), neckFlexion = 0 }: Bridge,
): Pose[] {
  const { slope, soleX } = bridgeTop(b, knee, shoulderY, soleY, pitch);
  const planted = (outward: 1 | -1) => foot(b, soleX, { y: soleY, pitch }, outward);
  const at = (degrees: number): Pose =>
    pose({
      lie: "supine",
      pelvis: { pitch: -degrees },
      neck: { flexion: neckFlexion + Math.max(0, degrees) * 0.8 },
      legs: { w: planted(1), o: other === "planted" ? planted(-1) : other },
      root: { point: "neck", x: 0, y: shoulderY, z: 0 },
      arms,
    });
  const floor = (Math.asin(Math.min(0.95, (lyingHeight(b) + 0.01 - shoulderY) / b.trunk)) * 180) / Math.PI;
  const down = shoulderY > lyingHeight(b) + 0.05 ? Math.max(floor, slope - 42) : 0;
  return [at(down), at(slope)];
}

export const lifted = (knee = 20): Leg => leg({ hip: 32, knee });

/** The step under a planted sole, from a bridge's own geometry. */
export const under = (b: BodyLengths, x: number, height: number, what: "step" | "bench" = "step"): Prop =>
  block(what, [x - 0.12 * b.height, x + 0.13 * b.height], [0, height], [-0.13 * b.height, 0.13 * b.height]);

const bridges =
  (kneeDeg: (k: Parameters<Recipe>[0]) => number, pitch: number): Recipe =>
  (k, b) => {
    const raised = k.is("raised", "rear-foot", "both-feet");
    const soleY = raised ? 0.2 : 0;
    const single = k.is("laterality", "single");
    const load = loaded(k, b);
    const knee = kneeDeg(k);
    const { soleX } = bridgeTop(b, knee, lyingHeight(b), soleY, pitch);
    return figure({
      keys: bridge(b, {
        knee,
        soleY,
        pitch,
        shoulderY: lyingHeight(b),
        other: single ? lifted() : "planted",
      }),
      timing: { kind: "there-and-back", lowers: "back" },
      props: [...load.props, ...(raised ? [under(b, soleX - (pitch < 0 ? b.heel : -0.02), soleY)] : [])],
      contacts: touching(["neck", lyingHeight(b)]),
      moves: "pelvis",
    });
  };

const marching: Recipe = (k, b) => {
  const raised = k.is("raised", "both-feet");
  const soleY = raised ? 0.2 : 0;
  const heels = k.is("range", "part");
  const long = k.is("lever", "long");
  const knee = heels && long ? 72 : 88;
  const { soleX } = bridgeTop(b, knee, lyingHeight(b), soleY, 0);
  const base = bridge(b, { knee, soleY, pitch: 0, shoulderY: lyingHeight(b), other: "planted" })[1] as Pose;
  const planted = foot(b, soleX, { y: soleY });
  const h = b.height;
  const up: Leg = heels
    ? foot(b, soleX, { y: soleY, pitch: 13, pivot: "ball" })
    : long
      ? foot(b, soleX + 0.12 * h, { y: soleY + 0.19 * h, pitch: -52, free: true })
      : foot(b, soleX - 0.14 * h, { y: soleY + 0.2 * h, pitch: -24, free: true });
  const stand = {
    ...base,
    legs: {
      w: heels
        ? foot(b, soleX, { y: soleY, pivot: "ball" })
        : { ...planted, sole: { ...planted.sole, free: true } as Leg["sole"] },
      o: foot(b, soleX, { y: soleY }, -1),
    },
  };
  return figure({
    keys: [stand, { ...stand, legs: { ...stand.legs, w: up } }],
    timing: { kind: "there-and-back", lowers: "back" },
    props: raised ? [under(b, soleX + 0.02, soleY)] : [],
    moves: "w.ankle",
  });
};

const straightBridge: Recipe = (k, b) => {
  const h = b.height;
  const short = k.is("lever", "short");
  const soleY = 0.4;
  const single = k.is("laterality", "single");
  const load = loaded(k, b);
  const pitch = -70;
  const { soleX } = bridgeTop(b, 3, lyingHeight(b), soleY + (short ? 0.02 : 0), pitch);
  const keys = bridge(b, {
    knee: 3,
    soleY: soleY + (short ? 0.02 : 0),
    pitch,
    shoulderY: lyingHeight(b),
    other: single ? lifted(4) : "planted",
  });
  const [low, top] = keys as [Pose, Pose];
  // On straight legs the shoulders slide a little as the hips come down.
  const down = { ...low, root: { ...low.root, x: 0.05 * h } };
  const edge = short ? soleX - 0.24 * h : soleX - b.heel - 0.08 * h;
  return figure({
    keys: [down, top],
    timing: { kind: "there-and-back", lowers: "back" },
    props: [
      block("bench", [edge, edge + 0.34 * h], [0, soleY - (short ? 0.05 : 0)], [-0.13 * h, 0.13 * h]),
      ...load.props,
    ],
    contacts: touching(["neck", lyingHeight(b)]),
    moves: "pelvis",
  });
};

const hipThrust: Recipe = (k, b) => {
  const h = b.height;
  const bench = 0.4;
  const shoulderY = bench + 0.03 * h;
  const single = k.is("laterality", "single");
  const load = loaded(k, b);
  const part = k.is("range", "part");
  const [low, top] = bridge(b, {
    knee: 90,
    soleY: 0,
    pitch: 0,
    shoulderY,
    other: single ? leg({ hip: 62, knee: 40 }) : "planted",
    arms: hands.crossed(b),
    neckFlexion: 24,
  }) as [Pose, Pose];
  const end = part ? { ...top, pelvis: { ...top.pelvis, pitch: top.pelvis.pitch + 16 } } : top;
  return figure({
    keys: [low, end],
    timing: { kind: "there-and-back", lowers: "back" },
    props: [block("bench", [-0.2 * h, 0.03 * h], [0, bench], [-0.2 * h, 0.2 * h]), ...load.props],
    contacts: touching(["neck", shoulderY]),
    moves: "pelvis",
  });
};

/** Hips up, heels on a ball or on sliders; the knees bend and straighten. */
const curls =
  (on: "ball" | "slider"): Recipe =>
  (k, b) => {
    const h = b.height;
    const radius = 0.15 * h;
    const soleY = on === "ball" ? 2 * radius : 0;
    const pitch = on === "ball" ? -34 : -26;
    const single = k.is("laterality", "single");
    const oneOut = k.is("laterality", "both-up-one-down");
    const bent = bridgeTop(b, on === "ball" ? 84 : 86, lyingHeight(b), soleY, pitch);
    const straightest = bridgeTop(b, 12, lyingHeight(b), soleY, pitch);
    const outX = bent.soleX + (straightest.soleX - bent.soleX) * k.range;
    const at = (x: number, hipShare: number, other: Leg | null): Pose =>
      pose({
        lie: "supine",
        pelvis: { pitch: -(bent.slope + (straightest.slope - bent.slope) * hipShare) },
        neck: { flexion: bent.slope },
        legs: { w: foot(b, x, { y: soleY, pitch }), o: other ?? foot(b, x, { y: soleY, pitch }, -1) },
        root: { point: "neck", x: 0, y: lyingHeight(b), z: 0 },
        arms: hands.beside(),
      });
    const away = leg({ hip: 44, knee: 40 });
    const props = (foot: "w" | "o"): Prop =>
      on === "ball"
        ? { kind: "ball", at: { of: `${foot}.heel`, plus: [0.01, -radius, -b.hipCentre] }, radius }
        : { kind: "slider", under: `${foot}.heel` };
    const outWith = single || oneOut ? away : null;
    const inWith = single ? away : null;
    const keys = oneOut
      ? [at(bent.soleX, 0, null), at(bent.soleX, 0, away), at(outX, k.range, away), at(outX, k.range, null)]
      : [at(bent.soleX, 0, inWith), at(outX, k.range, outWith)];
    return figure({
      keys,
      timing: oneOut
        ? { kind: "sequence", seconds: [0.6, 2.5, 0.6, 1.5], lowers: "there" }
        : { kind: "there-and-back", lowers: "there" },
      props: on === "ball" ? [props("w")] : single ? [props("w")] : [props("w"), props("o")],
      moves: "w.heel",
    });
  };

export const bridgeFigures: Readonly<Record<string, Recipe>> = {
  // With the hips down the knee is bent most: feet so far out that it keeps to 90°.
  bridge: bridges(() => 76, 0),
  "marching-bridge": marching,
  "long-lever-bridge": bridges((k) => (k.is("lever", "short") ? 62 : 32), -28),
  "straight-leg-bridge": straightBridge,
  "hip-thrust": hipThrust,
  "ball-curl": curls("ball"),
  "sliding-curl": curls("slider"),
};
