import type { BodyLengths } from "~/core/pose/body-lengths";
import { hipPulled, kneePulled, type Bench } from "./bench";
import type { Handle } from "./PulledFigure";

/** Handles at knee and hip of the leg that stands in front: the knee slants its shin, the hip bends and slants. */
export function legHandles(
  { shank: shankM, thigh: thighM, ankleHeight }: BodyLengths,
  onPull: (part: Partial<Pick<Bench, "kneeDeg" | "shankDeg">>) => void,
): Handle[] {
  return [
    { name: "knee", at: ({ legs }) => legs.w.knee, onPull: (ahead) => onPull(kneePulled(shankM, ahead)) },
    {
      name: "hip",
      at: ({ legs }) => legs.w.hip,
      onPull: (ahead, above) => onPull(hipPulled({ shankM, thighM }, ahead, above - ankleHeight)),
    },
  ];
}
