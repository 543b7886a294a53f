import type { Body } from "~/core/pose/body";
import { cross, dot, minus, scaled, size } from "~/core/pose/space";
import type { DrawnBand } from "./drawn-band";

/** What a band's pull turns the joints of a leg by, N·m. */
export interface BandMoment {
  /** About the knee's own axis, either way; null where it pulls above the knee. */
  readonly kneeNm: number | null;
  /** About the hip, whichever way. */
  readonly hipNm: number;
}

/**
 * The moments of a band about the joints of the leg it pulls at.
 *
 * @param forceN ≥ 0
 * @returns null where it pulls at no leg
 * Source: statics, force times the arm to its line.
 */
export function bandMoment(
  body: Pick<Body, "legs">,
  { at, towards, pulls }: DrawnBand,
  forceN: number,
): BandMoment | null {
  if (!pulls) return null;
  const leg = body.legs[pulls.side];
  const force = scaled(towards, forceN);
  const kneeNm =
    pulls.below === "knee" ? Math.abs(dot(cross(minus(at, leg.knee), force), leg.shank.side)) : null;
  return { kneeNm, hipNm: size(cross(minus(at, leg.hip), force)) };
}
