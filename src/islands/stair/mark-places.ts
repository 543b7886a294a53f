import type { StairItem } from "~/contract/episode";
import { markRadius, type Point, type StairGeometry } from "./stair-geometry";

const apart = 2 * markRadius + 1;
const nudge = 3;
/** How far back from the beginning of the tread a mark may give way, in pixels; the person stands there. */
const slack = 14;

/**
 * Where each item's mark stands: as far along its lane as the item has come. A mark that would touch one already placed
 * gives way along its own lane, backward first, so that nothing looks further along than it is while there is room.
 */
export function markPlaces(
  items: readonly StairItem[],
  lanes: readonly string[],
  shape: Pick<StairGeometry, "onLane">,
): Map<string, Point> {
  const places = new Map<string, Point>();
  for (const item of items) {
    const lane = lanes.indexOf(item.lane);
    const wanted = shape.onLane(lane, item.progress);
    const first = shape.onLane(lane, 0).x - slack;
    const last = shape.onLane(lane, 1).x;
    const backward = steps(wanted.x, first, -nudge);
    const forward = steps(wanted.x + nudge, last, nudge);
    const clear = [...backward, ...forward].find((x) =>
      [...places.values()].every((other) => Math.hypot(other.x - x, other.y - wanted.y) >= apart),
    );
    const sameLane = items.filter((other) => other.lane === item.lane && places.has(other.itemId)).length;
    places.set(item.itemId, { ...wanted, x: clear ?? wanted.x - sameLane * apart });
  }
  return places;
}

function steps(from: number, to: number, by: number): number[] {
  const count = Math.max(0, Math.floor((to - from) / by) + 1);
  return Array.from({ length: count }, (_, n) => from + n * by);
}
