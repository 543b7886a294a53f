import type { BodyLengths } from "~/core/pose/body-lengths";
import { chair } from "./around";
import {
  type Recipe,
  carrying,
  figure,
  foot,
  footFlat,
  hands,
  leg,
  onBack,
  onBoth,
  onSeat,
  reachTo,
} from "./parts";
import { holding } from "./support";

/** Lying on the back, the sole of a straight leg against a wall. */
const forefootPress: Recipe = (k, b) => {
  const against = leg({ hip: 3, knee: 5, ankle: 2 });
  return figure({
    keys: [onBack(b, { w: against, o: k.is("laterality", "both") ? against : footFlat(b, 80, -1) })],
    timing: { kind: "hold" },
    props: [
      { kind: "wall", x: b.thigh + b.shank + b.ankleHeight + 0.012 * b.height, z: [-0.3, 0.3], faces: -1 },
      { kind: "press", at: "w.ball", towards: [1, 0, 0] },
    ],
  });
};

/** Sitting, both fists side by side between the knees. */
const seatedSqueeze: Recipe = (k, b: BodyLengths) => {
  const h = b.height;
  const wide = k.is("range", "full");
  const z = b.hipCentre + (wide ? 0.07 : 0.015) * h;
  const one = (side: 1 | -1) =>
    foot(b, b.thigh * 0.97, { z: z * side, knee: [1, 0.25, 0.12], turn: wide ? 12 : 0 }, side);
  const seat = onSeat(b, { legs: { w: one(1), o: one(-1) }, pelvis: { pitch: 6 }, spine: { flexion: 8 } });
  const kneeHeight = b.ankleHeight + b.shank;
  const fist = (side: 1 | -1) =>
    reachTo([b.thigh * 0.9, kneeHeight + 0.012 * h, 0.026 * h * side], [-0.7, -0.6, side * 0.7]);
  return figure({
    viewDeg: 62,
    keys: [{ ...seat, arms: { w: fist(1), o: fist(-1) } }],
    timing: { kind: "hold" },
    props: [
      ...chair(b),
      { kind: "press", at: { of: "w.knee", plus: [0, 0, 0.02 * h] }, towards: [0, 0, -1] },
    ],
  });
};

/** Standing on both legs, the buttocks tightened. */
const standingGlutealSet: Recipe = (k, b) => {
  const upright = onBoth(b, 3, 1, {
    arms: hands.hang(),
    balance: undefined,
    legs: { w: carrying(3, 1), o: carrying(3, 1) },
  });
  const held = holding(k, b, [upright]);
  return figure({
    keys: held.keys,
    timing: { kind: "hold" },
    props: [
      ...held.props,
      {
        kind: "press",
        at: { of: "pelvis", plus: [-0.07 * b.height, -0.02 * b.height, 0] },
        towards: [1, 0, 0],
      },
    ],
  });
};

export const earlyPressFigures: Readonly<Record<string, Recipe>> = {
  "forefoot-press": forefootPress,
  "seated-squeeze": seatedSqueeze,
  "standing-gluteal-set": standingGlutealSet,
};
