import type { BodyLengths } from "~/core/pose/body-lengths";
import type { Leg, Pose } from "~/core/pose/pose";
import { resolvePose, settled } from "~/core/pose/resolve-pose";
import { leg, sole } from "./parts";
import { ankleOnSole } from "./reach-out";

/**
 * A pose that stands, held by its pelvis instead of its feet, so that it can take off: feet reach for where they stood.
 */
export function letFly(b: BodyLengths, standing: Pose): Pose {
  const still = settled(b, standing) ?? standing;
  const resolved = resolvePose(b, still);
  if (!resolved.ok) return standing;
  const { body } = resolved;
  const reaching = (side: "w" | "o"): Leg => {
    const one = still.legs[side];
    if (one.sole?.x !== undefined) return one;
    const { ankle, foot: turned } = body.legs[side];
    const pitch = one.sole?.pitch ?? (-Math.asin(turned.fore[1]) * 180) / Math.PI;
    const [forward, up] = ankleOnSole(b, pitch);
    const around = Math.hypot(turned.fore[0], turned.fore[2]) || 1;
    const x = ankle[0] - (forward * turned.fore[0]) / around;
    const z = ankle[2] - (forward * turned.fore[2]) / around;
    const outward = side === "w" ? 1 : -1;
    const turn = (Math.atan2(turned.fore[2] * outward, turned.fore[0]) * 180) / Math.PI;
    return leg({
      sole: one.sole ? { ...one.sole, x, z } : sole({ x, z, y: ankle[1] - up, pitch, turn, free: true }),
    });
  };
  const [x, y, z] = body.pelvis;
  return {
    ...still,
    legs: { w: reaching("w"), o: reaching("o") },
    root: { point: "pelvis", x, y, z },
  };
}
