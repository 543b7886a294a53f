import type { Measure } from "./measure";

/** A threshold as a gate states it: a value, or a share of the other side. */
export interface StatedThreshold {
  readonly value: number;
  /** `value`: in the measure's unit; `uninvolved-share`: per cent of the uninvolved side's value. */
  readonly side: "uninvolved-share" | "value";
}

/**
 * A threshold in the measure's own unit, so that it can be drawn beside values.
 *
 * @param uninvolved last value of the uninvolved side; undefined where there is none
 * @returns null for a share of what nobody has measured
 * @example thresholdValue({ value: 90, side: "uninvolved-share" }, "higher", 200) // 180
 */
export function thresholdValue(
  { value, side }: StatedThreshold,
  better: Measure["better"],
  uninvolved: number | undefined,
): number | null {
  if (side === "value") return value;
  if (uninvolved === undefined) return null;
  return uninvolved * (better === "higher" ? value / 100 : 100 / value);
}
