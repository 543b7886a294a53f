import { knobByName } from "~/core/exercise/knob";
import { stepHeight } from "~/core/mechanics/step-height";
import type { LegSize } from "./box-for-bend";

/** How far the shin leans for each degree of knee bend over a step (common practice; the figures draw it so). */
const shinShare = 0.45;

/** The step down from which the other foot touches at a knee bend, in whole centimetres; null where there is no such step. */
export function stepForBend(size: LegSize, kneeDeg: number): number | null {
  const { stepCm } = stepHeight({
    ...size,
    kneeFlexionDeg: kneeDeg,
    shankInclinationDeg: shinShare * kneeDeg,
  });
  const step = Math.round(stepCm);
  return knobByName("step-height").accepts(step) ? step : null;
}
