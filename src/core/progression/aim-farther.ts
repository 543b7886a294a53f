/** A reach grows by so much from time to time, centimetres: 'a few' (common practice). */
export const reachStepCm = 3;
/** Nobody is asked to reach farther than this, centimetres. */
const mostCm = 150;

/**
 * What a reach is aimed at after somebody reached so far: a few centimetres more, whatever the ladder of the exercise says.
 *
 * @param reachedCm 1–150
 * @returns whole centimetres, at most 150
 * @example aimFarther(41) // 44
 * @example aimFarther(149) // 150
 * Source: common practice.
 */
export function aimFarther(reachedCm: number): number {
  return Math.min(mostCm, Math.round(reachedCm) + reachStepCm);
}
