import type { Prop } from "~/core/figure/figure";
import type { Leg } from "~/core/pose/pose";
import { block } from "./around";
import { radians } from "./degrees";
import { type Recipe, figure, foot, pose, reachTo } from "./parts";

export const cycling: Recipe = (k, b) => {
  const h = b.height;
  const hipMost = k.number("hip-angle", 90);
  const helped = k.is("assistance", "strong");
  const resisted = k.is("assistance", "none");
  const crank = 0.095 * h;
  // A higher saddle opens the hip at the top of the stroke.
  const saddle = (0.575 - (hipMost - 85) * 0.0042) * h;
  const axle: [number, number] = [0.14 * h, 0.17 * h];
  const at = (turnDeg: number) => {
    const pedal = (deg: number): [number, number] => [
      axle[0] + crank * Math.cos(deg * radians),
      axle[1] + crank * Math.sin(deg * radians),
    ];
    const on = (deg: number, outward: 1 | -1): Leg => {
      const [x, y] = pedal(deg);
      return foot(b, x - 0.05 * h, { y: y - 0.005 * h, pitch: 12, free: true }, outward);
    };
    return pose({
      lie: "upright",
      pelvis: { pitch: 10 },
      spine: { flexion: 10, lean: 0, turn: 0 },
      neck: { flexion: -14, turn: 0 },
      legs: { w: on(turnDeg, 1), o: on(turnDeg + 180, -1) },
      root: { point: "pelvis", x: 0, y: saddle, z: 0 },
      arms: { w: reachTo([0.38 * h, 0.64 * h, 0.1 * h]), o: reachTo([0.38 * h, 0.64 * h, -0.1 * h]) },
    });
  };
  const wheel = 0.15 * h;
  const props: Prop[] = [
    { kind: "wheel", at: [0.42 * h, wheel, 0], radius: wheel },
    { kind: "wheel", at: [axle[0], axle[1], 0], radius: resisted ? 0.06 * h : 0.045 * h },
    {
      kind: "line",
      what: "frame",
      through: [
        [-0.02 * h, saddle - 0.055 * h, 0],
        [axle[0], axle[1], 0],
        [0.42 * h, wheel, 0],
        [0.37 * h, 0.62 * h, 0],
      ],
    },
    {
      kind: "line",
      what: "frame",
      through: [
        [axle[0], axle[1], 0],
        [-0.1 * h, 0.01, 0],
        [0.42 * h, 0.01, 0],
      ],
    },
    block("machine", [-0.09 * h, 0.05 * h], [saddle - 0.075 * h, saddle - 0.05 * h], [-0.04 * h, 0.04 * h]),
    ...(helped
      ? ([{ kind: "press", at: { of: "o.ball", plus: [0, 0, 0] }, towards: [0.3, -1, 0] }] as const)
      : []),
    ...(resisted
      ? ([{ kind: "press", at: { of: "w.ball", plus: [0, 0, 0] }, towards: [0.3, -1, 0] }] as const)
      : []),
  ];
  return figure({
    keys: [at(90), at(0), at(-90), at(180)],
    timing: { kind: "sequence", seconds: [0.4, 0.4, 0.4, 0.4] },
    props,
  });
};
