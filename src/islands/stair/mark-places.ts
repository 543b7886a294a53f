import type { StairItem } from "~/core/interchange/contract";
import { markRadius, type Point, type StairGeometry } from "./stair-geometry";

const apart = 2.1 * markRadius;

/** Where each item's mark stands; marks of one lane that would touch stand beside each other, leftward. */
export function markPlaces(
  items: readonly StairItem[],
  lanes: readonly string[],
  shape: Pick<StairGeometry, "onLane">,
): Map<string, Point> {
  const places = new Map<string, Point>();
  for (const item of items) {
    const taken = items
      .filter((other) => other.lane === item.lane)
      .flatMap((other) => places.get(other.itemId) ?? []);
    let place = shape.onLane(lanes.indexOf(item.lane), item.progress);
    while (taken.some((other) => Math.abs(other.x - place.x) < apart - 0.01))
      place = { ...place, x: place.x - apart };
    places.set(item.itemId, place);
  }
  return places;
}
