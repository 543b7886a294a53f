import type { BodyLengths } from "~/core/pose/body-lengths";
import type { Pose } from "~/core/pose/pose";
import { bandRound, block, loaded } from "./around";
import { bendTo, slant } from "./bend-to";
import { legPress } from "./leg-press";
import {
  type Knobs,
  type Part,
  type Recipe,
  carrying,
  figure,
  foot,
  freeLeg,
  hands,
  leg,
  onBoth,
  onFoot,
  onOne,
  pose,
  sitHeight,
} from "./parts";
import { lunge, splitSquat } from "./split-stance";
import { holding } from "./support";

const chairStand: Recipe = (k, b) => {
  const h = b.height;
  const seat = k.number("box-height", 50) / 100;
  const knee = bendTo(b, seat + sitHeight(b), 0.2);
  const free = hands.crossed(b);
  const load = loaded(k, b);
  const single = k.is("laterality", "single");
  const ahead = k.is("laterality", "staggered");
  const other = (kneeDeg: number) =>
    single
      ? freeLeg({ hip: 24 + kneeDeg * 0.55, knee: 24 })
      : ahead
        ? foot(b, 0.07 * h, { pitch: -8 }, -1)
        : carrying(kneeDeg, 0.2 * kneeDeg);
  const low = {
    lie: "upright" as const,
    legs: { w: carrying(knee, 0.2 * knee, {}), o: other(knee) },
    root: onFoot(b),
    // So far forward that the weight is over the feet when the seat lets go.
    pelvis: { pitch: 36 },
    arms: load.arms ?? free,
  };
  const high = {
    ...low,
    legs: {
      w: ahead ? carrying(14, 5) : carrying(6, 2),
      o: single
        ? freeLeg({ hip: 30, knee: 30 })
        : ahead
          ? foot(b, 0.07 * h, { pitch: -8 }, -1)
          : carrying(6, 2),
    },
    pelvis: { pitch: 2 },
  };
  const thigh = (knee * 0.8 * Math.PI) / 180;
  const hipX = b.shank * Math.sin((0.2 * knee * Math.PI) / 180) - b.thigh * Math.sin(thigh);
  const held = holding(k, b, [pose(high), pose(low)]);
  return figure({
    keys: held.keys,
    props: [
      ...load.props,
      block("seat", [hipX - 0.14 * h, hipX + 0.1 * h], [seat - 0.04, seat], [-0.12 * h, 0.12 * h]),
      block("rail", [hipX - 0.16 * h, hipX - 0.14 * h], [0, seat + 0.2 * h], [-0.12 * h, 0.12 * h]),
      block("rail", [hipX + 0.07 * h, hipX + 0.09 * h], [0, seat - 0.04], [-0.12 * h, 0.12 * h]),
      ...held.props,
    ],
    moves: "pelvis",
  });
};

/** How both feet stand in a squat: apart, turned out, heels on a wedge. */
function stance(k: Knobs, b: BodyLengths, kneeDeg: number, shankDeg: number, part: Part): Pose {
  const h = b.height;
  const wide = k.is("stance-width", "wide");
  const out = wide ? 13 : 0;
  const turn = k.is("foot-turn", "turned-out") ? 22 : 0;
  const wedge = k.is("raised", "heels");
  // Raised heels let the shins travel farther.
  const shin = shankDeg + (wedge ? 0.06 * kneeDeg : 0);
  const base = onBoth(b, kneeDeg, shin, part, wedge ? { pitch: 14, turn, pivot: "ball" } : { turn });
  const one = { ...base.legs.w, abduction: out, rotation: turn };
  const z = b.hipCentre + (b.thigh + b.shank) * Math.sin((out * Math.PI) / 180);
  return { ...base, legs: { w: one, o: one }, root: wide ? onFoot(b, 0, 0, z - 0.02 * h) : base.root };
}

const squat: Recipe = (k, b) => {
  const h = b.height;
  const knee = k.number("knee-angle", 60);
  const load = loaded(k, b);
  const part = { arms: load.arms ?? hands.forward() };
  const held = holding(k, b, [stance(k, b, 4, 2, part), stance(k, b, knee, slant(k, knee), part)]);
  const seenFromFront = k.is("stance-width", "wide") || k.is("foot-turn", "turned-out");
  return figure({
    ...(seenFromFront ? { viewDeg: 52 } : {}),
    keys: held.keys,
    props: [
      ...held.props,
      ...load.props,
      ...bandRound(k),
      ...(k.is("raised", "heels")
        ? ([
            { kind: "wedge", x: [-b.heel - 0.02 * h, b.ball], y: [0, 0.05], z: [-0.16 * h, 0.16 * h] },
          ] as const)
        : []),
    ],
    moves: "pelvis",
  });
};

const wallSquat: Recipe = (k, b) => {
  const h = b.height;
  const knee = k.number("knee-angle", 60);
  const slide = k.is("stance-length", "long") ? -0.02 : 0.14;
  const shin = slide * knee;
  const [s, t] = [(shin * Math.PI) / 180, ((knee - shin) * Math.PI) / 180];
  const hipX = b.shank * Math.sin(s) - b.thigh * Math.sin(t);
  const single = k.is("laterality", "single");
  const ahead = k.is("laterality", "staggered") ? 0.07 * h : 0;
  const hold = pose({
    lie: "upright",
    legs: {
      w: carrying(knee, shin),
      o: single ? leg({ hip: knee + 25, knee: 20 }) : foot(b, ahead, { pitch: ahead ? -12 : 0 }, -1),
    },
    root: onFoot(b),
    arms: hands.crossed(b),
  });
  return figure({
    keys: [hold],
    timing: { kind: "hold" },
    props: [{ kind: "wall", x: hipX - 0.062 * h, z: [-0.3, 0.3], faces: 1 }],
  });
};

const wallBall: Recipe = (k, b) => {
  const h = b.height;
  const knee = k.number("knee-angle", 30);
  const shin = slant(k, knee);
  const free = freeLeg({ hip: 50, knee: 82, abduction: 2 });
  const part = {
    arms: hands.forward(66),
    balance: { over: "w" as const, forward: true, sideways: false },
  };
  const low = onOne(b, knee, shin, { ...free, hip: 50 + knee * 0.7 }, part);
  const radius = 0.075 * h;
  return figure({
    viewDeg: 62,
    keys: [onOne(b, 6, 2, free, part), low],
    props: [
      { kind: "ball", at: { of: "o.knee", plus: [-0.02, 0.02 * h, -radius - 0.035 * h] }, radius },
      { kind: "side-wall", z: -b.hipCentre - 2 * radius - 0.04 * h, x: [-0.3, 0.3], height: 1.1 * h },
    ],
    moves: "pelvis",
  });
};

/** The leg in the air: reaching ahead, hanging bent beside the standing one, or behind it. */
function otherLeg(k: Knobs, bend: number) {
  // Deep down a bent leg is drawn up, so that its foot stays off the floor.
  const up = Math.max(0, bend - 68) * 0.9;
  if (k.is("free-leg", "behind"))
    return freeLeg({ hip: 0.34 * bend + up, knee: Math.min(128, 44 + 0.9 * bend), abduction: 3 });
  if (k.is("free-leg", "beside"))
    return freeLeg({ hip: 10 + 0.5 * bend + up, knee: Math.min(128, 34 + bend), abduction: 3 });
  return freeLeg({ hip: 20 + 0.72 * bend, knee: 24 });
}

const singleLegSquat: Recipe = (k, b) => {
  const h = b.height;
  const seat = k.number("box-height", 50) / 100;
  const limited = k.is("knee-travel", "limited");
  // Down to a box that is low for this person even a held-back knee travels.
  const past = Math.max(0, bendTo(b, seat + sitHeight(b), 0.22) - 85);
  const share = limited ? Math.min(0.34, 0.22 + past * 0.006) : 0.36;
  const knee = bendTo(b, seat + sitHeight(b), share);
  const load = loaded(k, b);
  const stand = (bend: number) =>
    onOne(b, bend, share * bend, otherLeg(k, bend), {
      arms: load.arms ?? hands.forward(70),
    });
  const held = holding(k, b, [stand(6), stand(knee)]);
  const hipX =
    b.shank * Math.sin((share * knee * Math.PI) / 180) -
    b.thigh * Math.sin(((1 - share) * knee * Math.PI) / 180);
  return figure({
    keys: held.keys,
    props: [
      // Beside or behind, the other leg needs the room next to the box.
      block(
        "box",
        [hipX - 0.13 * h, hipX + 0.08 * h],
        [0, seat],
        [k.is("free-leg", "beside", "behind") ? 0.01 * h : -0.12 * h, 0.12 * h],
      ),
      ...held.props,
      ...load.props,
      ...(k.is("perturbation", "band-thigh")
        ? ([
            {
              kind: "line",
              what: "band",
              through: [{ of: "w.knee", plus: [-0.02, 0.06 * h, 0] }, [0.5 * h, 0.34 * h, -0.9]],
            },
          ] as const)
        : []),
    ],
    moves: "pelvis",
  });
};

export const squatFigures: Readonly<Record<string, Recipe>> = {
  "chair-stand": chairStand,
  "staggered-chair-stand": chairStand,
  "two-leg-squat": squat,
  "wall-squat": wallSquat,
  "leg-press": legPress,
  "split-squat": splitSquat,
  "forward-lunge": lunge,
  "wall-ball-squat": wallBall,
  "single-leg-squat": singleLegSquat,
};
