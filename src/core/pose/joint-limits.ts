/**
 * How far joints go before no body does it, degrees. Ranges of healthy adults (American Academy of Orthopaedic
 * Surgeons 1994, recalled) with a margin for gymnasts; a figure beyond them is not drawn. They say nothing about what a
 * patient may do.
 */
export const jointLimits = {
  hip: [-35, 140],
  abduction: [-45, 65],
  rotation: [-60, 75],
  knee: [-10, 155],
  ankle: [-70, 48],
  elbow: [-10, 155],
  spine: [-60, 80],
} as const;

export type JointName = keyof typeof jointLimits;

/** True when the angle is one that the joint reaches; half a degree is forgiven. */
export function withinLimits(joint: JointName, degrees: number): boolean {
  const [low, high] = jointLimits[joint];
  return degrees >= low - 0.5 && degrees <= high + 0.5;
}
