import type { Figure } from "~/core/figure/figure";

/** The keys that tell a movement where it stands still: its ends; of one of many its beginning, middle and end. */
export function framesOf({ keys, timing }: Figure): number[] {
  if (keys.length < 2) return [0];
  if (keys.length === 2 || timing.kind !== "sequence") return [0, keys.length - 1];
  return [0, 1, 2];
}
