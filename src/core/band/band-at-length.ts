import { bandForce } from "~/core/mechanics/band-force";
import type { Band } from "./band";

export type BandAtLength =
  | { readonly ok: true; readonly forceN: number; readonly stretchPercent: number }
  /** Shorter than it is at rest, or stretched less or more than anybody measured. */
  | { readonly ok: false; readonly reason: "slack" | "below-measured" | "beyond-measured" };

/** Rounding of a length by which a band at rest is no shorter than it is. */
const rounding = 1e-9;

/**
 * What a band pulls with when it is so long: at the same share of stretch it pulls alike, however short it is held.
 *
 * @param band as measured; `heldCm` its length at rest between the two ends that are held, > 0; `lengthCm` as it is now
 * @returns newtons and the stretch as a share of the rest; nothing beyond what was measured
 * @example bandAtLength({ restCm: 100, points: [{ stretchCm: 0, forceN: 0 }, { stretchCm: 50, forceN: 20 }, { stretchCm: 100, forceN: 40 }] }, 50, 75) // { ok: true, forceN: 20, stretchPercent: 50 }
 * @example bandAtLength({ restCm: 100, points: [{ stretchCm: 0, forceN: 0 }, { stretchCm: 50, forceN: 20 }, { stretchCm: 100, forceN: 40 }] }, 50, 40) // { ok: false, reason: "slack" }
 * Source: an even strip strains alike all along it (mechanics of materials); the curve see bandForce.
 */
export function bandAtLength(
  { restCm, points }: Pick<Band, "restCm" | "points">,
  heldCm: number,
  lengthCm: number,
): BandAtLength {
  const share = (lengthCm - heldCm) / heldCm;
  if (share < -rounding) return { ok: false, reason: "slack" };
  const stretchCm = Math.max(0, share) * restCm;
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last || stretchCm > last.stretchCm + rounding)
    return { ok: false, reason: "beyond-measured" };
  if (stretchCm < first.stretchCm - rounding) return { ok: false, reason: "below-measured" };
  const within = Math.min(last.stretchCm, Math.max(first.stretchCm, stretchCm));
  const { forceN } = bandForce({ calibration: points, stretchCm: within });
  return { ok: true, forceN, stretchPercent: 100 * Math.max(0, share) };
}
