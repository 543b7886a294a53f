import { betweenPoses } from "~/core/pose/between-poses";
import { settled } from "~/core/pose/resolve-pose";
import type { Pose } from "~/core/pose/pose";
import type { Prop, Span } from "~/core/figure/figure";
import type { BodyLengths } from "~/core/pose/body-lengths";
import { block, loaded } from "./around";
import { bendToTouch } from "./bend-to";
import { type Recipe, carrying, figure, foot, freeLeg, hands, onOne } from "./parts";
import { downTo, leaning } from "./sit-back";
import { holding } from "./support";

const stepUnder = (b: BodyLengths, x: Span, z: Span, height: number): Prop =>
  block("step", [x[0] * b.height, x[1] * b.height], [0, height], [z[0] * b.height, z[1] * b.height]);

/** Half-way the free foot is nearly as high as it gets: hips rise fast at first, and the foot must not be left behind. */
function halfUp(b: BodyLengths, low: Pose, high: Pose): Pose {
  const half = betweenPoses(settled(b, low) ?? low, settled(b, high) ?? high, 0.5);
  const { sole } = half.legs.o;
  const y = (high.legs.o.sole?.y ?? 0) * 0.92;
  return sole ? { ...half, legs: { ...half.legs, o: { ...half.legs.o, sole: { ...sole, y } } } } : half;
}

const sideStep: Recipe = (k, b) => {
  const h = b.height;
  const step = k.number("step-height", 10) / 100;
  const load = loaded(k, b);
  // Leaning the shin stays more upright, and balance tips the trunk; part of the way the foot hovers.
  const shin = k.is("trunk", "leaning") ? 0.3 : 0.45;
  const hover = step * (1 - k.range);
  const knee = bendToTouch(b, shin, { x: -0.03 * h, y: 1.12 * b.ankleHeight + hover - step });
  const arms = load.arms ?? hands.hips(b);
  const beside = -(b.hipCentre + 0.03 * h);
  const low = onOne(
    b,
    knee,
    shin * knee,
    foot(b, -0.03 * h, { y: hover, z: beside, pitch: -8, free: true }, -1),
    { arms, balance: { over: "w", forward: true, sideways: false } },
    { y: step },
  );
  const high = onOne(
    b,
    6,
    2,
    foot(b, 0.02 * h, { y: step * 0.9 + 0.04 * h, z: -b.hipCentre, free: true }, -1),
    { arms },
    { y: step },
  );
  const held = holding(k, b, [low, halfUp(b, low, high), high]);
  return figure({
    viewDeg: 58,
    keys: held.keys,
    timing: { kind: "there-and-back", lowers: "back" },
    props: [stepUnder(b, [-0.1, 0.16], [-0.01, 0.14], step), ...held.props, ...load.props],
    moves: "pelvis",
  });
};

const frontStep: Recipe = (k, b) => {
  const h = b.height;
  const step = k.number("step-height", 15) / 100;
  const lean = k.is("trunk", "leaning");
  const load = loaded(k, b);
  const behind = -0.24 * h;
  const hover = step * (1 - k.range);
  const knee = bendToTouch(b, 0.32, { x: behind, y: 1.12 * b.ankleHeight + hover - step });
  const arms = load.arms ?? hands.hips(b);
  const low = onOne(
    b,
    knee,
    0.32 * knee,
    foot(b, behind, { y: hover, pitch: -8, free: true, knee: [0.8, 0.3, 0] }, -1),
    { arms, pelvis: { pitch: lean ? 38 : 20 }, balance: undefined },
    { y: step },
  );
  const high = onOne(
    b,
    5,
    2,
    foot(b, -0.02 * h, { y: step + 0.05 * h, pitch: 14, free: true }, -1),
    {
      arms,
      pelvis: { pitch: lean ? 10 : 2 },
      balance: { over: "w", forward: false, sideways: true },
    },
    { y: step },
  );
  const held = holding(k, b, [low, halfUp(b, low, high), high]);
  return figure({
    keys: held.keys,
    timing: { kind: "there-and-back", lowers: "back" },
    props: [stepUnder(b, [-0.1, 0.2], [-0.02, 0.14], step), ...held.props, ...load.props],
    moves: "pelvis",
  });
};

/** Where the other foot goes down: shares of height ahead and aside of the standing ankle, and the step it goes down from. */
interface Facing {
  readonly touch: number;
  readonly beside: boolean;
  readonly high: { readonly x: number; readonly over: number; readonly pitch: number };
  readonly step: readonly [x: Span, z: Span];
}

const facings = (ahead: number): Readonly<Record<"forward" | "outward" | "back", Facing>> => ({
  forward: {
    touch: ahead + 0.1,
    beside: false,
    high: { x: ahead + 0.02, over: 0.06, pitch: -4 },
    step: [
      [-0.16, 0.09],
      [-0.04, 0.14],
    ],
  },
  outward: {
    touch: -0.01,
    beside: true,
    high: { x: 0.02, over: 0.04, pitch: -4 },
    step: [
      [-0.1, 0.16],
      [-0.01, 0.14],
    ],
  },
  back: {
    touch: -0.22,
    beside: false,
    high: { x: -0.02, over: 0.05, pitch: 14 },
    step: [
      [-0.08, 0.2],
      [-0.04, 0.14],
    ],
  },
});

/** The working foot stays on the step while the other goes down before, beside or behind it. */
const stepDown =
  (ahead: number, start: "low" | "high"): Recipe =>
  (k, b) => {
    const h = b.height;
    const step = k.number("step-height", 10) / 100;
    const load = loaded(k, b);
    const way = k.is("direction", "outward") ? "outward" : k.is("direction", "back") ? "back" : "forward";
    const { touch, beside, high: up, step: under } = facings(ahead)[way];
    const z = beside ? { z: -(b.hipCentre + 0.03 * h) } : {};
    const slantShare = k.is("trunk", "leaning") ? 0.26 : 0.38;
    const place = { x: touch * h, y: 1.15 * b.ankleHeight - step };
    const { kneeDeg: knee, shinDeg, hover, turnedAt } = downTo(k, b, slantShare, place);
    const bent = way === "back" ? { knee: [0.8, 0.3, 0] as [number, number, number] } : {};
    const arms = load.arms ?? (turnedAt === null ? hands.hips(b) : hands.forward(70));
    const high = onOne(
      b,
      5,
      2,
      foot(b, up.x * h, { y: step + up.over * h, pitch: up.pitch, free: true, ...z }, -1),
      { arms },
      { y: step },
    );
    const low = onOne(
      b,
      knee,
      shinDeg,
      foot(b, touch * h, { y: hover, pitch: way === "back" ? -8 : -12, free: true, ...z, ...bent }, -1),
      { arms, ...leaning(k, turnedAt !== null, !beside) },
      { y: step },
    );
    const half = halfUp(b, low, high);
    // Sitting back: first down as always to where it turns, then the hips go back over a knee that stays as it is.
    const turned =
      turnedAt === null
        ? half
        : { ...low, legs: { w: carrying(knee, slantShare * knee, { y: step }), o: half.legs.o } };
    const order = start === "high" ? [high, turned, low] : [low, turned, high];
    const held = holding(k, b, order);
    return figure({
      ...(beside ? { viewDeg: 58 } : {}),
      keys: held.keys,
      timing: { kind: "there-and-back", lowers: start === "high" ? "there" : "back" },
      props: [stepUnder(b, ...under, step), ...held.props, ...load.props],
      moves: "pelvis",
    });
  };

/** The standing leg stays straight; the free side of the pelvis sinks below the step and is lifted again. */
const lateralDip: Recipe = (k, b) => {
  const step = 0.12;
  const load = loaded(k, b);
  const stand = (lean: number) =>
    onOne(
      b,
      3,
      1,
      freeLeg({ hip: 3, knee: 6 }),
      { pelvis: { lean }, spine: { lean: -lean * 0.8 }, arms: load.arms ?? hands.hips(b) },
      { y: step },
    );
  const held = holding(k, b, [stand(3), stand(-16 * k.range)]);
  return figure({
    viewDeg: 80,
    keys: held.keys,
    props: [stepUnder(b, [-0.1, 0.16], [-0.02, 0.12], step), ...held.props, ...load.props],
    moves: "o.hip",
  });
};

export const stepFigures: Readonly<Record<string, Recipe>> = {
  "side-step-up": sideStep,
  "front-step-up": frontStep,
  "back-step-up": stepDown(0.04, "low"),
  "touch-down": stepDown(0.05, "high"),
  "lateral-dip": lateralDip,
};
