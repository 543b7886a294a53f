import type { Body } from "~/core/pose/body";
import { between, type Vec } from "~/core/pose/space";

export type LoopLimb = "thigh" | "shank" | "foot";

/** Half the thickness of what a loop goes round, shares of the height. */
export const loopRadius: Readonly<Record<LoopLimb, number>> = { thigh: 0.036, shank: 0.026, foot: 0.024 };

const along = {
  thigh: ["hip", "knee", 0.82],
  shank: ["knee", "ankle", 0.72],
  foot: ["ankle", "ball", 0.7],
} as const;

/** Where a loop round both legs holds one of them: above the knee, above the ankle, or round the foot. */
export function loopPlace({ points }: Pick<Body, "points">, side: "w" | "o", limb: LoopLimb): Vec {
  const [from, to, share] = along[limb];
  return between(points[`${side}.${from}`], points[`${side}.${to}`], share);
}
