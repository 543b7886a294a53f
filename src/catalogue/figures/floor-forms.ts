import type { Leg, Pose } from "~/core/pose/pose";
import { bandRound, block, loaded, touching } from "./around";
import { bridgeTop, bridge, lifted, under } from "./bridges";
import { radians } from "./degrees";
import { benchTilt, extensionBench } from "./face-down";
import {
  type Recipe,
  arm,
  figure,
  foot,
  footFlat,
  hands,
  heelOut,
  leg,
  lyingHeight,
  onBack,
  onFront,
  pointed,
  pose,
  reachTo,
} from "./parts";
import { forearmHeight, forearms, plank } from "./planks";

/** Hips up and held; the knees open and close. */
export const openingBridge: Recipe = (k, b) => {
  const raised = k.is("raised", "both-feet");
  const soleY = raised ? 0.2 : 0;
  const knee = 80;
  const { soleX } = bridgeTop(b, knee, lyingHeight(b), soleY, 0);
  const [, top] = bridge(b, { knee, soleY, pitch: 0, shoulderY: lyingHeight(b), other: "planted" });
  if (!top) throw new RangeError("a bridge has a top");
  const open = (outward: number): Pose => {
    const one = (side: 1 | -1): Leg =>
      foot(b, soleX, { y: soleY, ...(outward > 0 ? { knee: [1, 0.2, outward] as const } : {}) }, side);
    return { ...top, legs: { w: one(1), o: one(-1) } };
  };
  return figure({
    viewDeg: 58,
    keys: [open(0), open(0.75 * k.range)],
    timing: { kind: "there-and-back", lowers: "back" },
    props: [...bandRound(k), ...(raised ? [under(b, soleX + 0.02, soleY)] : [])],
    contacts: touching(["neck", lyingHeight(b)]),
    moves: "w.knee",
  });
};

/** Both feet on a block: the hips rise farther. */
export const blockBridge: Recipe = (k, b) => {
  const soleY = k.number("step-height", 20) / 100;
  const load = loaded(k, b);
  const knee = 84;
  const { soleX } = bridgeTop(b, knee, lyingHeight(b), soleY, 0);
  return figure({
    keys: bridge(b, {
      knee,
      soleY,
      pitch: 0,
      shoulderY: lyingHeight(b),
      other: k.is("laterality", "single") ? lifted() : "planted",
    }),
    timing: { kind: "there-and-back", lowers: "back" },
    props: [...load.props, under(b, soleX + 0.02, soleY)],
    contacts: touching(["neck", lyingHeight(b)]),
    moves: "pelvis",
  });
};

/** Held on the forearms with one leg off the floor. */
export const oneLegPlank: Recipe = (k, b) => {
  const line = { neckY: forearmHeight(b), soleY: 0, onKnees: k.is("lever", "short") };
  const onHands = k.is("raised", "front-foot");
  const y = onHands ? 0.3 : 0;
  const high = { ...line, neckY: forearmHeight(b, y) };
  const up = (slope: number): Leg =>
    line.onKnees ? leg({ hip: -16, knee: slope + 10, ankle: -44 }) : leg({ hip: -14, knee: 0, ankle: -30 });
  const still = (slope: number): Leg =>
    line.onKnees ? leg({ hip: 0, knee: slope + 14, ankle: -40 }) : leg({ hip: 0, knee: 0, ankle: -20 });
  const single = k.is("laterality", "single");
  return figure({
    keys: [plank(b, high, forearms(b, y), single ? up : still)],
    timing: { kind: "hold" },
    props: onHands
      ? [block("bench", [-0.06 * b.height, 0.24 * b.height], [0, y], [-0.2 * b.height, 0.2 * b.height])]
      : [],
  });
};

/** On the back, knees bent: the low back lifts off the floor, hips and buttocks stay loose. */
export const lowBackLift: Recipe = (k, b) => {
  const long = k.is("lever", "long");
  const legs = long
    ? { w: heelOut(b, 4), o: heelOut(b, 4, -1) }
    : { w: footFlat(b, 88), o: footFlat(b, 88, -1) };
  const at = (hollow: number): Pose =>
    onBack(b, legs, {
      pelvis: { pitch: hollow },
      spine: { flexion: -2 * hollow, lean: 0, turn: 0 },
      neck: { flexion: hollow },
      root: { point: "pelvis", x: 0, y: lyingHeight(b), z: 0 },
    });
  const roll = !k.is("assistance", "light")
    ? []
    : [block("pillow", [-0.13 * b.height, -0.05 * b.height], [0, 0.05], [-0.1 * b.height, 0.1 * b.height])];
  return figure({
    keys: [at(0), at(4 + 12 * k.range)],
    timing: { kind: "there-and-back", lowers: "back" },
    props: roll,
    moves: "lumbar",
  });
};

/** On the 45° bench, up to the line of the body and on into full extension. */
export const fullExtension: Recipe = (k, b) => {
  const h = b.height;
  const load = loaded(k, b);
  const tilt = benchTilt;
  const at = (pitch: number, hollow: number): Pose =>
    pose({
      lie: "upright",
      pelvis: { pitch },
      spine: { flexion: -hollow, lean: 0, turn: 0 },
      legs: {
        w: leg({ room: true, hip: -tilt, knee: 0, ankle: 0 }),
        o: leg({ room: true, hip: -tilt, knee: 0, ankle: 0 }),
      },
      root: { point: "w.ankle", x: 0, y: 0.2 * h, z: b.hipCentre },
      arms: load.arms
        ? k.is("lever", "short")
          ? { ...load.arms, o: hands.crossed(b).o }
          : load.arms
        : k.is("lever", "long")
          ? hands.ears(b)
          : hands.crossed(b),
    });
  return figure({
    keys: [at(k.is("range", "part") ? 80 : 112, 0), at(tilt - 6, 26)],
    timing: { kind: "there-and-back", lowers: "back" },
    props: [...extensionBench(b), ...load.props],
    moves: "chest",
  });
};

/** Face down, arms lifted: along the sides, out, or overhead. */
export const armRaises: Recipe = (k, b) => {
  const out = k.is("direction", "across") ? 90 : k.is("direction", "forward") ? 150 : 24;
  const load = loaded(k, b);
  const at = (share: number): Pose => {
    const up = (0.02 + 0.12 * share) * b.height;
    const reach = (b.upperArm + b.forearm) * 0.96;
    const side = (one: 1 | -1) =>
      reachTo(
        [
          b.trunk - reach * Math.cos(out * radians),
          up,
          one * (b.shoulderCentre + reach * Math.sin(out * radians)),
        ],
        [0, 0.4, one],
      );
    return onFront(b, { w: pointed(), o: pointed() }, { arms: { w: side(1), o: side(-1) } });
  };
  return figure({
    viewDeg: 56,
    keys: [at(0), at(1)],
    timing: { kind: "there-and-back", lowers: "back" },
    props: load.props,
    moves: "w.grip",
  });
};

/** On hands and feet, one hand taps the other shoulder. */
export const shoulderTaps: Recipe = (k, b) => {
  const h = b.height;
  const line = { neckY: 0.33 * h, soleY: 0, onKnees: k.is("lever", "short") };
  const onFloor = (side: 1 | -1) => reachTo([0.02 * h, 0.03 * h, 0.125 * h * side], [-0.5, 0, 1]);
  const turning = k.is("direction", "rotational");
  const at = (tap: boolean): Pose => {
    const key = plank(b, line, {
      w: tap
        ? turning
          ? arm({ flexion: -20, abduction: 112, elbow: 6 })
          : reachTo([0.08 * h, line.neckY - 0.06 * h, -0.09 * h], [0, -0.6, 0.8])
        : onFloor(1),
      o: onFloor(-1),
    });
    return tap && turning ? { ...key, spine: { ...key.spine, turn: -26 } } : key;
  };
  return figure({ viewDeg: 26, keys: [at(false), at(true)], props: [], moves: "w.grip" });
};

export const floorFormFigures: Readonly<Record<string, Recipe>> = {
  "opening-bridge": openingBridge,
  "block-bridge": blockBridge,
  "one-leg-plank": oneLegPlank,
  "low-back-lift": lowBackLift,
  "bench-extension": fullExtension,
  "arm-raises": armRaises,
  "shoulder-taps": shoulderTaps,
};
