import type { Figure } from "~/core/figure/figure";
import type { BodyLengths } from "~/core/pose/body-lengths";
import type { Arm, Leg, Pose, Sole } from "~/core/pose/pose";
import type { Vec } from "~/core/pose/space";
import type { KnobValue } from "~/core/exercise/prescription";
import { soleAhead } from "./reach-out";

/** What a figure may ask of the knobs of a prescription. */
export interface Knobs {
  is: (knob: string, ...values: string[]) => boolean;
  number: (knob: string, otherwise: number) => number;
  /** The share of the whole movement that the range knob leaves: 0.5, 0.75 or 1. */
  readonly range: number;
  /** Ends of the arc knob, degrees. */
  arc: (otherwise: [number, number]) => [number, number];
  has: (knob: string) => boolean;
  /** Knee bend from which the movement goes on at the hips, degrees; null in the plain form. */
  readonly sitBackAt: number | null;
}

export function knobsOf(settings: Readonly<Record<string, KnobValue>>): Knobs {
  const ranges: Record<string, number> = { part: 0.5, "three-quarter": 0.75, full: 1 };
  return {
    is: (knob, ...values) => values.includes(String(settings[knob])),
    number: (knob, otherwise) => (typeof settings[knob] === "number" ? settings[knob] : otherwise),
    range: ranges[String(settings["range"])] ?? 1,
    arc: (otherwise) => {
      const [from, to] = String(settings["arc"] ?? "")
        .split("-")
        .map(Number);
      return from === undefined || to === undefined || Number.isNaN(from) ? otherwise : [from, to];
    },
    has: (knob) => settings[knob] !== undefined,
    sitBackAt: Number(settings["sit-back-at"]) || null,
  };
}

/** How an exercise is drawn with its knobs set, for a body of these lengths. */
export type Recipe = (knobs: Knobs, body: BodyLengths) => Figure;

/** What a recipe says where it differs from an upright body moving there and back, seen from its working side. */
export type Sketch = Partial<Figure> & { readonly keys: readonly Pose[] };

const sideView = 20;

export const figure = (sketch: Sketch): Figure => ({
  viewDeg: sideView,
  timing: { kind: "there-and-back", lowers: "there" },
  props: [],
  contacts: [],
  ...sketch,
});

// Legs -----------------------------------------------------------------------------------------------------------

export const leg = (part: Partial<Leg> = {}): Leg => ({
  hip: 0,
  abduction: 0,
  rotation: 0,
  knee: 0,
  ankle: 0,
  room: false,
  ...part,
});

export const sole = (part: Partial<Sole> = {}): Sole => ({ y: 0, pitch: 0, turn: 0, free: false, ...part });

/** A leg that reaches for a place on the ground: the ankle would stand over `x` were the sole flat. */
export const foot = (b: BodyLengths, x: number, part: Partial<Sole> = {}, outward: 1 | -1 = 1): Leg =>
  leg({ sole: sole({ x, z: b.hipCentre * outward, ...part }) });

/** A leg that carries: knee bend, and the shin's slant forward of vertical, over a sole that stands. */
export const carrying = (
  kneeDeg: number,
  shankDeg: number,
  part: Partial<Sole> = {},
  more: Partial<Leg> = {},
): Leg => leg({ room: true, hip: kneeDeg - shankDeg, knee: kneeDeg, sole: sole(part), ...more });

/** A leg in the air, its angles against the room; the foot is held nearly level. */
export const freeLeg = (part: Partial<Leg>): Leg => {
  const { hip = 0, knee = 0 } = part;
  return leg({ room: true, ankle: Math.max(-30, Math.min(20, knee - hip - 1)), ...part });
};

// Arms -----------------------------------------------------------------------------------------------------------

export const arm = (part: Partial<Arm> = {}): Arm => ({
  flexion: 0,
  abduction: 6,
  rotation: 0,
  elbow: 8,
  ...part,
});
const both = (one: Arm): Pose["arms"] => ({ w: one, o: one });
const reach = (where: "room" | "pelvis" | "chest", at: Vec, elbowTo: Vec, palm = false): Arm =>
  arm({ reach: { in: where, at: [...at], elbowTo: [...elbowTo], ...(palm ? { palm } : {}) } });

export const reachTo = (at: Vec, elbowTo: Vec = [-0.4, -1, 0.5]): Arm => reach("room", at, elbowTo);
export const palmOn = (at: Vec, elbowTo: Vec = [-1, 0, 0.35]): Arm => reach("room", at, elbowTo, true);

/** Usual places of the hands, from the body's own lengths. */
export const hands = {
  hang: () => both(arm({ room: true })),
  forward: (flexion = 80) => both(arm({ flexion, elbow: 4, abduction: 2, room: true })),
  out: () => both(arm({ flexion: 10, abduction: 42, elbow: 12 })),
  hips: ({ height: h }: BodyLengths) => both(reach("pelvis", [0.015 * h, 0.075 * h, 0.1 * h], [-0.6, 0, 1])),
  crossed: ({ height: h }: BodyLengths) =>
    both(reach("chest", [0.085 * h, -0.07 * h, -0.15 * h], [0.5, -1, 0.5])),
  chest: ({ height: h }: BodyLengths) =>
    both(reach("chest", [0.12 * h, -0.11 * h, -0.07 * h], [-0.1, -1, 0.45])),
  bar: ({ height: h }: BodyLengths) => both(reach("chest", [0.03 * h, 0.0 * h, 0.09 * h], [-0.1, -1, 0.5])),
  ears: ({ height: h }: BodyLengths) => both(reach("chest", [0.03 * h, 0.11 * h, -0.03 * h], [0.5, 0.3, 1])),
  overhead: () => both(arm({ flexion: 172, elbow: 6, abduction: 4 })),
  /** Lying on the back, hands beside the hips on the floor. */
  beside: () => both(arm({ flexion: -6, abduction: 14, elbow: 4 })),
} as const;

// Whole poses ----------------------------------------------------------------------------------------------------

export const straight: Pick<Pose, "pelvis" | "spine" | "neck"> = {
  pelvis: { pitch: 0, lean: 0, turn: 0 },
  spine: { flexion: 0, lean: 0, turn: 0 },
  neck: { flexion: 0, turn: 0 },
};

export type Part = Partial<Omit<Pose, "pelvis" | "spine" | "neck">> & {
  pelvis?: Partial<Pose["pelvis"]>;
  spine?: Partial<Pose["spine"]>;
  neck?: Partial<Pose["neck"]>;
};

export function pose(part: Part & Pick<Pose, "lie" | "legs" | "root">): Pose {
  return {
    arms: hands.hang(),
    ...part,
    pelvis: { ...straight.pelvis, ...part.pelvis },
    spine: { ...straight.spine, ...part.spine },
    neck: { ...straight.neck, ...part.neck },
  };
}

/** The point that fixes somebody standing on the working foot: its ball, on ground of a height. */
export const onFoot = (b: BodyLengths, x = 0, y = 0, z = b.hipCentre): Pose["root"] => ({
  point: "w.ball",
  x: x + b.ball,
  y,
  z,
});

/** Standing on both legs alike: knee bend and the shin's slant of both, leaning so that it balances. */
export function onBoth(
  b: BodyLengths,
  kneeDeg: number,
  shankDeg: number,
  part: Part = {},
  under: Partial<Sole> = {},
): Pose {
  const one = carrying(kneeDeg, shankDeg, under);
  return pose({
    lie: "upright",
    legs: { w: one, o: one },
    root: onFoot(b, under.x ?? 0, under.y ?? 0),
    balance: { over: "both", forward: true, sideways: false },
    ...part,
  });
}

/** Standing on the working leg, leaning so that it balances; the other leg is free. */
export function onOne(
  b: BodyLengths,
  kneeDeg: number,
  shankDeg: number,
  free: Leg,
  part: Part = {},
  under: Partial<Sole> = {},
): Pose {
  return pose({
    lie: "upright",
    legs: { w: carrying(kneeDeg, shankDeg, under), o: free },
    root: onFoot(b, 0, under.y ?? 0),
    balance: { over: "w", forward: true, sideways: true },
    ...part,
  });
}

/** How high the middle of the hips lies above the floor when somebody lies on back or belly, metres. */
export const lyingHeight = (b: BodyLengths) => 0.062 * b.height;

/** Lying on the back with the hips at x = 0, the head to the left; legs as given. */
export function onBack(b: BodyLengths, legs: Pose["legs"], part: Part = {}): Pose {
  return pose({
    lie: "supine",
    legs,
    root: { point: "pelvis", x: 0, y: lyingHeight(b), z: 0 },
    arms: hands.beside(),
    ...part,
  });
}

/** A leg of somebody lying on the back: the heel rests with the knee bent so. */
export function heelOut(
  b: BodyLengths,
  kneeDeg: number,
  outward: 1 | -1 = 1,
  soleY = 0,
  hipHeight = lyingHeight(b),
): Leg {
  const pitch = -68;
  return foot(b, soleAhead(b, hipHeight, kneeDeg, soleY, pitch), { y: soleY, pitch }, outward);
}

/** A leg of somebody lying on the back: the foot stands flat with the knee bent so. */
export function footFlat(b: BodyLengths, kneeDeg: number, outward: 1 | -1 = 1): Leg {
  return foot(b, soleAhead(b, lyingHeight(b), kneeDeg), {}, outward);
}

/** Lying face down, hips at x = 0, head to the right; legs as given. */
export function onFront(b: BodyLengths, legs: Pose["legs"], part: Part = {}): Pose {
  return pose({
    lie: "prone",
    legs,
    root: { point: "pelvis", x: 0, y: lyingHeight(b), z: 0 },
    arms: {
      w: reachTo([b.trunk + 0.12 * b.height, 0.02 * b.height, 0.09 * b.height], [0, 0, 1]),
      o: reachTo([b.trunk + 0.12 * b.height, 0.02 * b.height, -0.09 * b.height], [0, 0, 1]),
    },
    ...part,
  });
}

/** A leg lying out straight under somebody face down, the foot pointed. */
export const pointed = (part: Partial<Leg> = {}): Leg => leg({ hip: 0, knee: 0, ankle: -62, ...part });

/** Height of the hips over a seat, metres. */
export const sitHeight = (b: BodyLengths) => 0.055 * b.height;
/** A seat on which this person's thighs lie level and the feet stand flat, metres. */
export const levelSeat = (b: BodyLengths) => b.ankleHeight + b.shank - sitHeight(b);

/** Sitting with the hips at x = 0 on a seat; feet flat under the knees unless given. */
export function onSeat(b: BodyLengths, part: Part = {}, seat = levelSeat(b)): Pose {
  const flat = (outward: 1 | -1) => foot(b, b.thigh, {}, outward);
  return pose({
    lie: "upright",
    legs: { w: flat(1), o: flat(-1) },
    root: { point: "pelvis", x: 0, y: seat + sitHeight(b), z: 0 },
    arms: hands.hips(b),
    ...part,
  });
}
