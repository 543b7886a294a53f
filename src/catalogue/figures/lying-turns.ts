import type { Leg } from "~/core/pose/pose";
import {
  type Recipe,
  arm,
  figure,
  footFlat,
  hands,
  heelOut,
  leg,
  lyingHeight,
  onBack,
  reachTo,
} from "./parts";

export const lumbarRotation: Recipe = (k, b) => {
  const lifted = k.is("raised", "both-feet");
  const turn = 46 * k.range;
  const at = (lean: number) => {
    const knees = (): Leg =>
      lifted ? leg({ hip: 88, knee: 88, abduction: 0 }) : leg({ hip: 52, knee: 96, abduction: 0, ankle: 26 });
    return onBack(
      b,
      { w: knees(), o: knees() },
      {
        pelvis: { turn: lean },
        spine: { turn: -lean },
        arms: { w: arm({ abduction: 76, elbow: 4 }), o: arm({ abduction: 76, elbow: 4 }) },
        root: { point: "pelvis", x: 0, y: lyingHeight(b) + Math.abs(lean) * 0.0009, z: 0 },
      },
    );
  };
  return figure({ viewDeg: 68, keys: [at(-turn), at(turn)], moves: "w.knee" });
};

export const pelvicTilt: Recipe = (k, b) => {
  const tilt = 16 * k.range;
  const arms = k.is("attention", "second-task");
  const at = (pitch: number, lift: number) =>
    onBack(
      b,
      { w: footFlat(b, 86), o: footFlat(b, 86, -1) },
      {
        pelvis: { pitch },
        spine: { flexion: -pitch },
        root: { point: "neck", x: -b.trunk, y: lyingHeight(b), z: 0 },
        arms: arms
          ? { w: arm({ flexion: 90 + lift, elbow: 4 }), o: arm({ flexion: 90 - lift, elbow: 4 }) }
          : hands.beside(),
      },
    );
  return figure({
    keys: [at(0, 0), at(-tilt, 60)],
    timing: { kind: "there-and-back", lowers: "back" },
    props: [{ kind: "press", at: { of: "lumbar", plus: [0, 0.06 * b.height, 0] }, towards: [0, -1, 0] }],
    moves: "pelvis",
  });
};

export const legAcross: Recipe = (k, b) => {
  const h = b.height;
  const full = k.is("range", "full");
  const own = k.is("assistance", "none");
  const hip = full ? 92 : 62;
  const at = onBack(
    b,
    {
      w: leg({ hip: hip + 4, knee: 104, abduction: 30, rotation: 62, ankle: 4 }),
      o: full ? leg({ hip, knee: 96, ankle: 4 }) : footFlat(b, 92, -1),
    },
    {
      arms:
        full && !own
          ? {
              w: reachTo([-0.02 * h, 0.21 * h, 0.02 * h], [0, -1, 0.8]),
              o: reachTo([-0.02 * h, 0.21 * h, -0.1 * h], [0, -1, 0.8]),
            }
          : own
            ? hands.beside()
            : { ...hands.beside(), w: reachTo([0.03 * h, 0.19 * h, 0.14 * h], [0, -1, 0.8]) },
    },
  );
  return figure({ viewDeg: 40, keys: [at], timing: { kind: "hold" } });
};

export const supineRotation: Recipe = (k, b) => {
  const bent = k.number("hip-angle", 0) > 10;
  const share = k.range;
  if (bent) {
    const at = (out: number) =>
      onBack(b, {
        w: leg({ hip: k.number("hip-angle", 50), knee: 94, abduction: out * 0.8, rotation: out, ankle: 24 }),
        o: heelOut(b, 4, -1),
      });
    return figure({ viewDeg: 64, keys: [at(0), at(46 * share)], moves: "w.knee" });
  }
  const at = (rotation: number) =>
    onBack(b, {
      w: leg({ hip: 2, knee: 0, ankle: -6, rotation }),
      o: leg({ hip: 2, knee: 0, ankle: -6, rotation: 8 }),
    });
  return figure({ viewDeg: 62, keys: [at(-38 * share), at(55 * share)], moves: "w.toe" });
};

export const ballSqueeze: Recipe = (k, b) => {
  const h = b.height;
  const long = k.is("lever", "long");
  const radius = 0.05 * h;
  const z = b.hipCentre + 0.03 * h;
  const one = (outward: 1 | -1): Leg => {
    const base = long ? heelOut(b, 14, outward) : footFlat(b, 88, outward);
    return { ...base, sole: { ...(base.sole as NonNullable<Leg["sole"]>), z: z * outward } };
  };
  return figure({
    viewDeg: long ? 40 : 48,
    keys: [onBack(b, { w: one(1), o: one(-1) })],
    timing: { kind: "hold" },
    props: [
      { kind: "ball", at: { of: long ? "w.ankle" : "w.knee", plus: [long ? -0.02 : 0, 0, -z] }, radius },
      { kind: "press", at: long ? "w.ankle" : "w.knee", towards: [0, 0, -1] },
      { kind: "press", at: long ? "o.ankle" : "o.knee", towards: [0, 0, 1] },
    ],
  });
};
