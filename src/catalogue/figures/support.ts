import type { Prop } from "~/core/figure/figure";
import type { BodyLengths } from "~/core/pose/body-lengths";
import type { Pose } from "~/core/pose/pose";
import { resolvePose, settled } from "~/core/pose/resolve-pose";
import { block } from "./around";
import { type Knobs, reachTo } from "./parts";

/** Places for a rail, shares of height, farthest first: [ahead, up]. */
const railPlaces = [0.3, 0.26, 0.22, 0.18, 0.14, 0.1, 0.05, 0, -0.05].flatMap((ahead) =>
  [0.6, 0.56, 0.52, 0.48, 0.44, 0.64, 0.4, 0.7, 0.76].map((up) => [ahead, up] as const),
);
const armReach = 0.37;

/**
 * Hands on a rail, one of them, fingertips on a table, or none, as the support knob says; the rail stands where the hands
 * reach it in all poses. Hands that hold nothing stay as they are.
 */
export function holding(
  k: Knobs,
  b: BodyLengths,
  keys: readonly Pose[],
  on: "rail" | "wall" | "along" = "rail",
): { keys: Pose[]; props: Prop[] } {
  if (!k.is("support", "two-hands", "one-hand", "fingertips")) return { keys: [...keys], props: [] };
  const h = b.height;
  const still = keys.map((key) => settled(b, key) ?? key);
  const shoulders = still.flatMap((key) => {
    const resolved = resolvePose(b, key);
    return resolved.ok ? [resolved.body.points["w.shoulder"], resolved.body.points["o.shoulder"]] : [];
  });
  if (on === "along") return alongRail(k, b, still);
  const foremost = Math.max(...shoulders.map(([x]) => x));
  const z = Math.max(0.1 * h, ...shoulders.map(([, , s]) => s));
  const zOther = Math.min(-0.1 * h, ...shoulders.map(([, , s]) => s));
  const fits = ([ahead, up]: readonly [number, number]) =>
    shoulders.every(([sx, sy, sz], n) => {
      const distance = Math.hypot(foremost + ahead * h - sx, up * h - sy, (n % 2 === 0 ? z : zOther) - sz);
      return distance <= armReach * h && distance >= 0.1 * h;
    });
  const [ahead, up] = railPlaces.find(fits) ?? [0.2, 0.55];
  const [x, y] = [foremost + ahead * h, up * h];
  const tips = k.is("support", "fingertips");
  const hold = (side: 1 | -1) => reachTo([x, y + (tips ? 0.03 : 0), side > 0 ? z : zOther]);
  const wall: Prop = { kind: "wall", x: x + 0.03 * h, z: [-0.4, 0.4], faces: -1 };
  const one = k.is("support", "one-hand");
  // A rail for one hand stands beside the body, so that it hides nothing of it from the front.
  const [end, begin] = one ? [zOther - 0.26 * h, zOther + 0.03 * h] : [-0.2 * h, 0.2 * h];
  return {
    keys: still.map((key) => ({ ...key, arms: { w: one ? key.arms.w : hold(1), o: hold(-1) } })),
    props:
      on === "wall"
        ? [wall]
        : tips
          ? [
              block("table", [x - 0.02, x + 0.24 * h], [y - 0.06, y - 0.03], [-0.2 * h, 0.2 * h]),
              block("table", [x + 0.2 * h, x + 0.22 * h], [0, y - 0.06], [-0.19 * h, -0.17 * h]),
              block("table", [x + 0.2 * h, x + 0.22 * h], [0, y - 0.06], [0.17 * h, 0.19 * h]),
            ]
          : [
              block("rail", [x - 0.02, x + 0.02], [y - 0.04, y - 0.01], [end, begin]),
              block("rail", [x - 0.015, x + 0.015], [0, y - 0.04], [end, end + 0.03 * h]),
              block("rail", [x - 0.015, x + 0.015], [0, y - 0.04], [begin - 0.03 * h, begin]),
            ],
  };
}

/** A rail beside somebody who steps along it: the hands slide on it. */
function alongRail(k: Knobs, b: BodyLengths, keys: readonly Pose[]): { keys: Pose[]; props: Prop[] } {
  const h = b.height;
  const y = 0.54 * h;
  const z = -0.2 * h;
  const slid = keys.map((key): Pose => {
    const resolved = resolvePose(b, key);
    const x = resolved.ok ? resolved.body.points["o.shoulder"][0] + 0.06 * h : 0;
    const hold = (side: 1 | -1) => reachTo([x, y, z * -side]);
    return { ...key, arms: { w: k.is("support", "one-hand") ? key.arms.w : hold(1), o: hold(-1) } };
  });
  const tips = k.is("support", "fingertips");
  const beam = (at: number): Prop[] => [
    block(
      "rail",
      [-0.6 * h, 0.7 * h],
      [y - (tips ? 0.06 : 0.04), y - (tips ? 0.03 : 0.01)],
      [at - 0.015, at + 0.015],
    ),
    block("rail", [-0.6 * h, -0.58 * h], [0, y - 0.04], [at - 0.015, at + 0.015]),
    block("rail", [0.68 * h, 0.7 * h], [0, y - 0.04], [at - 0.015, at + 0.015]),
  ];
  return { keys: slid, props: [...beam(z), ...(k.is("support", "one-hand") ? [] : beam(-z))] };
}
