import { boxHeight } from "~/core/mechanics/box-height";
import { knobByName } from "~/core/exercise/knob";

/** Whose legs: by their height, or as measured, metres. */
export interface LegSize {
  readonly heightM: number;
  readonly shankM?: number;
  readonly thighM?: number;
}

/** How far the shin leans for each degree of knee bend on the way down to a box (common practice; the figures draw it so). */
const shinShare = 0.2;

/**
 * The box that is touched at a knee bend, in whole centimetres; null for a bend that no box serves.
 *
 * @param kneeDeg as typed; null or NaN where nobody can read it
 */
export function boxForBend(size: LegSize, kneeDeg: number | null): number | null {
  if (kneeDeg === null || !(kneeDeg >= 0 && kneeDeg <= 150)) return null;
  const { boxCm } = boxHeight({ ...size, kneeFlexionDeg: kneeDeg, shankInclinationDeg: shinShare * kneeDeg });
  const box = Math.round(boxCm);
  return knobByName("box-height").accepts(box) ? box : null;
}
