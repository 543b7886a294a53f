/** Knobs that say how far a movement goes. */
export const rangeKnobs = [
  "knee-angle",
  "hip-angle",
  "arc",
  "range",
  "step-height",
  "box-height",
  "reach",
  "drop-height",
  "sit-back-at",
] as const;
