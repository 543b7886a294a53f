import type { Leg } from "~/core/pose/pose";
import { bandRound } from "./around";
import { type Recipe, figure, foot, freeLeg, hands, onBoth, onFoot, onOne, pose, reachTo } from "./parts";
import { doorPress, stance, terminalExtension, wallPress } from "./standing-knee";
import { onOtherLeg } from "./on-other-leg";
import { holding } from "./support";

const standingKick: Recipe = (k, b) => {
  const ends: Record<string, Partial<Leg>> = {
    back: { hip: -22, knee: 6 },
    "back-across": { hip: -18, abduction: 16, knee: 4 },
    across: { hip: 2, abduction: 30, knee: 3 },
  };
  const direction = Object.keys(ends).find((value) => k.is("direction", value)) ?? "across";
  const held = holding(k, b, [
    onOtherLeg(b, freeLeg({ hip: 18, knee: 40, abduction: 3 })),
    onOtherLeg(b, freeLeg(ends[direction] ?? {})),
  ]);
  return figure({
    viewDeg: direction === "back" ? 22 : direction === "across" ? 84 : -50,
    keys: held.keys,
    timing: { kind: "there-and-back", lowers: "back" },
    props: [...held.props, ...bandRound(k)],
    moves: "w.ankle",
  });
};

const bandAdduction: Recipe = (k, b) => {
  const h = b.height;
  const held = holding(k, b, [
    onOtherLeg(b, freeLeg({ abduction: 22, hip: 14, knee: 20 })),
    onOtherLeg(b, freeLeg({ abduction: 22 - 34 * k.range, hip: 20, knee: 16 })),
  ]);
  return figure({
    viewDeg: 84,
    keys: held.keys,
    props: [...held.props, { kind: "line", what: "band", through: ["w.ankle", [0.05, 0.08, 0.48 * h]] }],
    moves: "w.ankle",
  });
};

/** Circles of the thigh: forward, out, back. */
const activeRange: Recipe = (k, b) => {
  const share = k.range;
  const ends: Partial<Leg>[] = [
    { hip: 18, knee: 40 },
    { hip: 90 * share, knee: 90 * share + 8 },
    { hip: 20 * share, abduction: 36 * share, knee: 10 },
    { hip: -22 * share, knee: 16 },
  ];
  const held = holding(
    k,
    b,
    ends.map((end) => onOtherLeg(b, freeLeg(end))),
  );
  return figure({
    viewDeg: 45,
    keys: held.keys,
    timing: { kind: "sequence", seconds: [1.5, 1.5, 1.5, 1.5] },
    props: held.props,
  });
};

const march: Recipe = (k, b) => {
  const h = b.height;
  const hip = k.number("hip-angle", 60);
  // The pelvis of somebody on the other leg is tipped forward by two degrees.
  const lifted = onOtherLeg(b, freeLeg({ hip: hip - 2, knee: Math.max(60, hip) }), hands.hips(b));
  const down = onOtherLeg(b, freeLeg({ hip: 18, knee: 40 }), hands.hips(b));
  if (k.is("contraction", "isometric")) {
    const at = (side: 1 | -1) =>
      arm2([
        b.thigh * Math.sin((hip * Math.PI) / 180) - 0.1 * h,
        0.52 * h - b.thigh * Math.cos((hip * Math.PI) / 180) + 0.1 * h,
        (side > 0 ? 0.09 : 0.02) * h,
      ]);
    return figure({
      keys: [{ ...lifted, arms: { w: at(1), o: k.is("support", "two-hands") ? at(-1) : hands.hips(b).o } }],
      timing: { kind: "hold" },
      props: [
        ...bandRound(k),
        { kind: "press", at: { of: "w.knee", plus: [-0.03, 0.07, 0] }, towards: [0.1, -1, 0] },
      ],
    });
  }
  const held = holding(k, b, [down, lifted]);
  return figure({
    keys: held.keys,
    timing: { kind: "there-and-back", lowers: "back" },
    props: [...held.props, ...bandRound(k)],
    moves: "w.knee",
  });
};
const arm2 = (at: [number, number, number]) => reachTo(at, [-0.6, -0.4, 0.6]);

const sideSteps: Recipe = (k, b) => {
  const h = b.height;
  const knee = k.number("knee-angle", 30);
  const wide = (out: number) => {
    const base = onBoth(b, knee, 0.3 * knee, { arms: hands.hips(b) });
    const one = (side: 1 | -1): Leg => ({ ...base.legs.w, abduction: out + (side > 0 ? 0 : 0) });
    return {
      ...base,
      legs: { w: one(1), o: one(-1) },
      root: onFoot(b, 0, 0, b.hipCentre + Math.sin((out * Math.PI) / 180) * 0.45 * h),
    };
  };
  return figure({
    viewDeg: 84,
    keys: [wide(3), wide(17)],
    props: bandRound(k),
    moves: "w.ankle",
  });
};

const standingClam: Recipe = (k, b) => {
  const h = b.height;
  const open = (rotation: number): Leg =>
    freeLeg({ hip: 42, knee: 78, abduction: rotation * 0.85, rotation: rotation * 0.2 });
  const wall = k.is("contraction", "isometric") || k.is("support", "one-hand");
  const stand = (out: number) => onOne(b, 14, 5, open(out), { arms: hands.hips(b) });
  const pressed = k.is("contraction", "isometric");
  const held = holding(k, b, [stand(2), stand(pressed ? 16 : 34)]);
  return figure({
    viewDeg: 70,
    keys: held.keys,
    timing: { kind: "there-and-back", lowers: "back" },
    props: [
      ...held.props,
      ...bandRound(k),
      ...(wall
        ? ([
            { kind: "side-wall", z: pressed ? -0.215 * h : -0.32 * h, x: [-0.3, 0.3], height: 1.1 * h },
          ] as const)
        : []),
      ...(pressed
        ? ([{ kind: "press", at: { of: "o.knee", plus: [0, 0, -0.02] }, towards: [0, 0, -1] }] as const)
        : []),
    ],
    moves: "o.knee",
  });
};

const adductorSlide: Recipe = (k, b) => {
  const h = b.height;
  const out = 0.3 * h * k.range;
  const at = (share: number) =>
    pose({
      lie: "upright",
      legs: {
        w: foot(b, 0, { z: b.hipCentre + out * share, turn: 6 }, 1),
        o: foot(b, 0, { turn: 10, knee: [1, 0, 0.15] }, -1),
      },
      root: {
        point: "pelvis",
        x: -0.085 * h * share * k.range,
        y: (0.522 - 0.125 * share * k.range) * h,
        z: -0.02 * h * share,
      },
      pelvis: { pitch: 6 + 26 * share * k.range },
      arms: hands.hips(b),
    });
  const held = holding(k, b, [at(0), at(1)]);
  return figure({
    viewDeg: 84,
    keys: held.keys,
    props: [{ kind: "slider", under: "w.ball" }, ...held.props],
    moves: "w.ankle",
  });
};

export const standingHipFigures: Readonly<Record<string, Recipe>> = {
  "standing-kick": standingKick,
  "standing-band-adduction": bandAdduction,
  "hip-active-range": activeRange,
  march,
  "band-side-steps": sideSteps,
  "standing-clam": standingClam,
  "door-press": doorPress,
  "straight-leg-wall-press": wallPress,
  "terminal-extension": terminalExtension,
  "adductor-slide": adductorSlide,
  "single-leg-stance": stance,
};
