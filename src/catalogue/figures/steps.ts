import { betweenPoses } from "~/core/pose/between-poses";
import { settled } from "~/core/pose/resolve-pose";
import type { Pose } from "~/core/pose/pose";
import type { Prop } from "~/core/figure/figure";
import type { BodyLengths } from "~/core/pose/body-lengths";
import { block, loaded } from "./around";
import { bendToTouch } from "./bend-to";
import { type Recipe, figure, foot, freeLeg, hands, onOne } from "./parts";
import { holding } from "./support";

const stepUnder = (b: BodyLengths, x: [number, number], z: [number, number], height: number): Prop =>
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
    { arms, pelvis: { pitch: lean ? 38 : 10 }, balance: undefined },
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

/** The working foot stays on the step while the other goes down in front of it. */
const stepDown =
  (ahead: number, start: "low" | "high"): Recipe =>
  (k, b) => {
    const h = b.height;
    const step = k.number("step-height", 10) / 100;
    const load = loaded(k, b);
    const touch = (ahead + 0.1) * h;
    const shin = k.is("trunk", "leaning") ? 0.26 : 0.38;
    const knee = bendToTouch(b, shin, { x: touch, y: 1.15 * b.ankleHeight - step });
    const arms = load.arms ?? hands.hips(b);
    const high = onOne(
      b,
      5,
      2,
      foot(b, (ahead + 0.02) * h, { y: step + 0.06 * h, pitch: -4, free: true }, -1),
      { arms },
      { y: step },
    );
    const low = onOne(
      b,
      knee,
      shin * knee,
      foot(b, touch, { y: 0, pitch: -12, free: true }, -1),
      { arms, balance: { over: "w", forward: true, sideways: true } },
      { y: step },
    );
    const middle = halfUp(b, low, high);
    const order = start === "high" ? [high, middle, low] : [low, middle, high];
    const held = holding(k, b, order);
    return figure({
      keys: held.keys,
      timing: { kind: "there-and-back", lowers: start === "high" ? "there" : "back" },
      props: [stepUnder(b, [-0.16, 0.09], [-0.04, 0.14], step), ...held.props, ...load.props],
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
  "touch-down": stepDown(0.1, "high"),
  "lateral-dip": lateralDip,
};
