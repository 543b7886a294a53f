import { block } from "./around";
import { type Recipe, figure, foot, pose, reachTo, sitHeight } from "./parts";
import { ankleOnSole, hipToAnkle } from "./reach-out";

/** How far the plate is turned up under the foot, degrees, and how its way slants, radians. */
const pitch = -70;
const slant = 0.19;

export const legPress: Recipe = (k, b) => {
  const h = b.height;
  const knee = k.number("knee-angle", 75);
  const seat = 0.3;
  const hip = seat + sitHeight(b);
  const lie = (bend: number, other: number) => {
    // The plate moves straight away from the hips, slanting up a little.
    const legTo = (deg: number, side: 1 | -1) => {
      const d = hipToAnkle(b, deg);
      const [forward, rise] = ankleOnSole(b, pitch);
      return foot(
        b,
        d * Math.cos(slant) - forward,
        { y: hip + d * Math.sin(slant) - rise, pitch, free: true, knee: [0.8, 0.6, 0.02] },
        side,
      );
    };
    return pose({
      lie: "upright",
      pelvis: { pitch: -42 },
      legs: { w: legTo(bend, 1), o: other < 0 ? foot(b, 0.32 * h, { y: 0 }, -1) : legTo(other, -1) },
      root: { point: "pelvis", x: 0, y: hip, z: 0 },
      arms: { w: reachTo([0.02 * h, hip - 0.03, 0.13 * h]), o: reachTo([0.02 * h, hip - 0.03, -0.13 * h]) },
    });
  };
  const single = k.is("laterality", "single");
  const oneBack = k.is("laterality", "both-up-one-down");
  const straight = lie(10, single ? -1 : 10);
  const bent = lie(knee, single ? -1 : oneBack ? 10 : knee);
  const plateX = hipToAnkle(b, knee) * Math.cos(slant) + b.ankleHeight;
  return figure({
    keys: [straight, bent],
    props: [
      block("machine", [-0.24 * h, 0.12 * h], [seat - 0.05, seat], [-0.12 * h, 0.12 * h]),
      block("machine", [-0.06 * h, 0.04 * h], [0, seat - 0.05], [-0.08 * h, 0.08 * h]),
      {
        kind: "line",
        what: "frame",
        through: [
          [-0.09 * h, seat, 0],
          [-0.3 * h, seat + 0.26 * h, 0],
        ],
      },
      {
        kind: "line",
        what: "frame",
        through: [
          [plateX * 0.7, 0.05, 0],
          [0.56 * h, 0.05, 0],
          [0.62 * h, 0.62 * h, 0],
        ],
      },
      {
        kind: "line",
        what: "helper",
        through: [
          { of: "w.heel", plus: [0.03, -0.06, 0] },
          { of: "w.ball", plus: [0.03, 0.14, 0] },
        ],
      },
    ],
    moves: "w.ankle",
  });
};
