import { betweenPoses } from "~/core/pose/between-poses";
import type { Pose } from "~/core/pose/pose";
import type { Figure } from "./figure";

/**
 * The pose at a place along a figure's keys: 0 is the first, 1 the second, halves lie between.
 *
 * @param place 0 to the number of keys less one; a sequence may go one further, back to its first key
 */
export function poseAt({ keys }: Figure, place: number): Pose {
  const from = Math.min(Math.max(0, Math.floor(place)), keys.length - 1);
  const to = (from + 1) % keys.length;
  return betweenPoses(keys[from] as Pose, keys[to] as Pose, place - from);
}
