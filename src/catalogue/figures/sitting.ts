import { radians } from "./degrees";
import {
  levelSeat,
  type Recipe,
  figure,
  foot,
  hands,
  heelOut,
  leg,
  onBack,
  onSeat,
  reachTo,
  sitHeight,
} from "./parts";
import type { Prop } from "~/core/figure/figure";
import type { BodyLengths } from "~/core/pose/body-lengths";
import type { Leg, Pose } from "~/core/pose/pose";
import { block, chair, loaded } from "./around";
import { cycling } from "./cycling";
import { halfKneeling, leanBack, lowering } from "./kneeling";

/** A thigh on a seat, the shin swinging below it: knee bend from straight. */
const swinging = (knee: number, part: Partial<Leg> = {}): Leg =>
  leg({ room: true, hip: 88, knee, ankle: -6, ...part });

/** Hands beside the hips on the seat. */
const onSeatHands = (b: BodyLengths, seat: number): Pose["arms"] => ({
  w: reachTo([-0.03 * b.height, seat + 0.015 * b.height, 0.13 * b.height], [-1, 0, 0.3]),
  o: reachTo([-0.03 * b.height, seat + 0.015 * b.height, -0.13 * b.height], [-1, 0, 0.3]),
});

/** A seat high enough that the feet swing free. */
const highSeat = (b: BodyLengths) => levelSeat(b) + 0.06 * b.height;

const kneeExtension: Recipe = (k, b) => {
  const h = b.height;
  const [straight, bent] = k.arc([0, 90]);
  const ball = k.is("surface", "unstable");
  const strap = k.is("contraction", "isometric");
  const lowered = k.is("contraction", "eccentric-only");
  const load = loaded(k, b);
  const seat = ball ? levelSeat(b) + 0.015 * h : highSeat(b);
  const at = (knee: number, other: Leg) =>
    onSeat(
      b,
      {
        legs: { w: swinging(knee, ball ? { hip: 96, ankle: 8 } : {}), o: other },
        arms: ball ? hands.hips(b) : onSeatHands(b, seat),
      },
      seat,
    );
  const rest = ball ? foot(b, b.thigh, {}, -1) : swinging(84);
  // Lifted by both: the other foot is under the working heel at the top.
  const helping = ball ? rest : swinging(straight + 16, { ankle: 10, rotation: 0 });
  const keys = strap
    ? [at((straight + bent) / 2, rest)]
    : lowered
      ? [at(straight, helping), at(bent, rest)]
      : [at(bent, rest), at(straight, rest)];
  const anchor = [-0.02 * h, 0.1, 0] as const;
  return figure({
    keys,
    timing: { kind: "there-and-back", lowers: lowered ? "there" : "back" },
    props: [
      ...(ball ? ([{ kind: "ball", at: [0, seat / 2, 0], radius: seat / 2 }] as const) : chair(b, seat)),
      ...(strap
        ? ([
            { kind: "line", what: "strap", through: [{ of: "w.ankle", plus: [0.02, 0, 0] }, anchor] },
          ] as const)
        : []),
      ...load.props,
      ...(k.has("arc") && !strap ? arcMarks(b, seat, straight, bent) : []),
    ],
    moves: "w.ankle",
  });
};

/** Two thin strokes where the arc begins and ends, seen beside the shin. */
function arcMarks(b: BodyLengths, seat: number, straight: number, bent: number): Prop[] {
  const knee = [
    b.thigh * Math.sin(88 * radians),
    seat + sitHeight(b) - b.thigh * Math.cos(88 * radians),
  ] as const;
  return [straight, bent].map((deg): Prop => {
    const down = (88 - deg) * radians;
    const on = (share: number): [number, number, number] => [
      knee[0] + share * b.shank * Math.sin(down),
      knee[1] - share * b.shank * Math.cos(down),
      b.hipCentre,
    ];
    return { kind: "line", what: "band", through: [on(1.3), on(1.45)] };
  });
}

const extensionMachine: Recipe = (k, b) => {
  const h = b.height;
  const [straight, bent] = k.arc([0, 90]);
  const single = k.is("laterality", "single");
  const held = k.is("contraction", "isometric");
  const lowered = k.is("contraction", "eccentric-only");
  const seat = highSeat(b);
  const at = (w: number, o: number) =>
    onSeat(
      b,
      { pelvis: { pitch: -8 }, legs: { w: swinging(w), o: swinging(o) }, arms: onSeatHands(b, seat) },
      seat,
    );
  const still = 90;
  const keys = held
    ? [at((straight + bent) / 2, single ? still : (straight + bent) / 2)]
    : lowered
      ? [at(straight, straight + 4), at(bent, single ? straight + 24 : bent)]
      : [at(bent, single ? still : bent), at(straight, single ? still : straight)];
  return figure({
    keys,
    timing: { kind: "there-and-back", lowers: lowered ? "there" : "back" },
    props: [
      block("machine", [-0.1 * h, 0.2 * h], [seat - 0.06, seat], [-0.13 * h, 0.13 * h]),
      block("machine", [0, 0.1 * h], [0, seat - 0.06], [-0.08 * h, 0.08 * h]),
      block("machine", [-0.15 * h, -0.1 * h], [seat - 0.06, seat + 0.28 * h], [-0.12 * h, 0.12 * h]),
      {
        kind: "line",
        what: "frame",
        through: [[b.thigh, seat - 0.02 * h, 0.14 * h], { of: "w.ankle", plus: [0.02, 0.02, 0.05 * h] }],
      },
      { kind: "ring", what: "cuff", limb: "w.shank", at: 0.86 },
      ...arcMarks(b, seat, straight, bent),
    ],
    moves: "w.ankle",
  });
};

const kneeBend: Recipe = (k, b) => {
  const helped = k.is("assistance", "strong");
  const seat = highSeat(b);
  const at = (w: number, o: number) =>
    onSeat(
      b,
      { legs: { w: swinging(w), o: swinging(o, helped ? { ankle: 12 } : {}) }, arms: onSeatHands(b, seat) },
      seat,
    );
  return figure({
    keys: helped ? [at(8, 24), at(116, 100)] : [at(8, 86), at(116, 86)],
    props: chair(b, seat, -0.02 * b.height),
    moves: "w.ankle",
  });
};

const seatedRotation: Recipe = (k, b) => {
  const h = b.height;
  const seat = highSeat(b);
  const share = k.range;
  const pressed = k.is("contraction", "isometric");
  const at = (rotation: number) =>
    onSeat(
      b,
      {
        legs: { w: leg({ hip: 88, knee: 88, ankle: 0, rotation }), o: leg({ hip: 88, knee: 88, ankle: 0 }) },
        arms: onSeatHands(b, seat),
      },
      seat,
    );
  return figure({
    viewDeg: 74,
    keys: pressed ? [at(16 * share)] : [at(-28 * share), at(32 * share)],
    props: [
      ...chair(b, seat),
      ...(pressed
        ? ([{ kind: "press", at: { of: "w.ankle", plus: [0.02, 0, -0.03] }, towards: [0, 0, -1] }] as const)
        : []),
      ...(k.is("perturbation", "band-foot")
        ? ([{ kind: "line", what: "band", through: ["w.ankle", [0.2 * h, 0.1, 0.42 * h]] }] as const)
        : []),
    ],
    moves: "w.ankle",
  });
};

const ringSqueeze: Recipe = (k, b) => {
  const h = b.height;
  const radius = 0.055 * h;
  if (k.is("lever", "long")) {
    const one = (z: number, outward: 1 | -1): Leg => {
      const base = heelOut(b, 12, outward);
      return { ...base, sole: { ...(base.sole as NonNullable<Leg["sole"]>), z: z * outward } };
    };
    const at = (z: number) => onBack(b, { w: one(z, 1), o: one(z, -1) });
    return figure({
      viewDeg: 48,
      keys: [at(b.hipCentre + (k.is("range", "full") ? 0.045 : 0.03) * h), at(b.hipCentre + 0.012 * h)],
      props: [
        { kind: "ball", at: { of: "w.ankle", plus: [-0.03, 0.02, -(b.hipCentre + 0.03 * h)] }, radius },
      ],
      moves: "w.ankle",
    });
  }
  const wide = k.is("range", "full");
  const at = (abduction: number) => {
    const feet = (outward: 1 | -1): Leg =>
      foot(
        b,
        b.thigh * 0.96,
        {
          z: b.hipCentre + (wide ? 0.09 : 0.02) * h,
          knee: [1, 0.25, Math.tan(abduction * radians) * 0.9],
          turn: wide ? 14 : 0,
          ...(outward < 0 ? { z: -(b.hipCentre + (wide ? 0.09 : 0.02) * h) } : {}),
        },
        outward,
      );
    return onSeat(b, { legs: { w: feet(1), o: feet(-1) } });
  };
  return figure({
    viewDeg: 62,
    keys: [at(wide ? 26 : 12), at(wide ? 14 : 2)],
    props: [
      ...chair(b),
      {
        kind: "ball",
        at: { of: "w.knee", plus: [-0.01, 0, -(b.hipCentre + (wide ? 0.06 : 0.02) * h)] },
        radius: radius + (wide ? 0.03 * h : 0),
      },
    ],
    moves: "w.knee",
  });
};

export const sittingFigures: Readonly<Record<string, Recipe>> = {
  "seated-extension": kneeExtension,
  "extension-machine": extensionMachine,
  "seated-knee-bend": kneeBend,
  "seated-hip-rotation": seatedRotation,
  "ring-squeeze": ringSqueeze,
  "stationary-cycling": cycling,
  "kneeling-lean-back": leanBack,
  "kneeling-lowering": lowering,
  "half-kneeling-hip-stretch": halfKneeling,
};
