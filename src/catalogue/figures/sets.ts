import { palmOn, type Recipe, figure, foot, footFlat, heelOut, lyingHeight, onBack, reachTo } from "./parts";
import { block } from "./around";
import { soleAhead } from "./reach-out";

export const quadSet: Recipe = (k, b) => {
  const h = b.height;
  const knee = k.number("knee-angle", 20);
  const both = k.is("laterality", "both");
  const feel = k.is("assistance", "strong");
  const on = (outward: 1 | -1) => heelOut(b, knee, outward);
  const propped = (side: 1 | -1) => palmOn([-0.4 * h, 0.015 * h, 0.14 * h * side]);
  const kneeX = b.thigh * 0.99;
  const radius = Math.max(0.035, 0.02 + (knee / 20) * 0.03);
  return figure({
    keys: [
      onBack(
        b,
        { w: on(1), o: both ? on(-1) : footFlat(b, 70, -1) },
        {
          pelvis: { pitch: 42 },
          root: { point: "pelvis", x: 0, y: lyingHeight(b), z: 0 },
          arms: {
            w: feel ? reachTo([0.1 * h, 0.13 * h, 0.08 * h], [-0.4, -1, 0.6]) : propped(1),
            o: propped(-1),
          },
        },
      ),
    ],
    timing: { kind: "hold" },
    props: [
      { kind: "ball", at: [kneeX, radius, both ? 0 : b.hipCentre], radius },
      { kind: "press", at: { of: "w.knee", plus: [0, 0.04 * h, 0] }, towards: [0, -1, 0] },
    ],
  });
};

export const glutealSet: Recipe = (k, b) => {
  const h = b.height;
  const short = k.is("lever", "short");
  const both = k.is("laterality", "both");
  const bend = short ? 30 : 8;
  return figure({
    keys: [onBack(b, { w: heelOut(b, bend), o: both ? heelOut(b, bend, -1) : heelOut(b, 40, -1) })],
    timing: { kind: "hold" },
    props: [
      ...(short
        ? [block("pillow", [b.thigh - 0.12, b.thigh + 0.12], [0, 0.1], [-0.13 * h, 0.13 * h])]
        : [block("pillow", [-0.5 * h, -0.3 * h], [0, 0.05], [-0.12 * h, 0.12 * h])]),
      {
        kind: "press",
        at: short ? { of: "pelvis", plus: [0, -0.05 * h, 0] } : "w.heel",
        towards: [0, -1, 0],
      },
    ],
  });
};

export const heelDig: Recipe = (k, b) => {
  const h = b.height;
  const long = k.is("lever", "long");
  const both = k.is("laterality", "both");
  const ball = k.is("surface", "unstable");
  const radius = 0.14 * h;
  const y = ball ? 2 * radius : 0;
  const knee = long ? 26 : 88;
  const pitch = ball ? -74 : -30;
  const dug = (outward: 1 | -1) => {
    const x = soleAhead(b, lyingHeight(b), knee, y, pitch);
    return foot(b, x, { y, pitch }, outward);
  };
  const x = soleAhead(b, lyingHeight(b), knee, y, pitch);
  return figure({
    keys: [onBack(b, { w: dug(1), o: both ? dug(-1) : footFlat(b, 80, -1) })],
    timing: { kind: "hold" },
    props: [
      ...(ball ? ([{ kind: "ball", at: [x - b.heel, radius, b.hipCentre], radius }] as const) : []),
      { kind: "press", at: "w.heel", towards: [-0.5, -1, 0] },
    ],
  });
};
