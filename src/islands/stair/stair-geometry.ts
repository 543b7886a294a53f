import { path as d3path } from "d3";

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** Measures of the drawing, in its own units (one unit is one CSS pixel). */
export interface StairGeometry {
  readonly width: number;
  readonly height: number;
  /** Outline of the wall under a tread. */
  readonly wall: (stage: number) => string;
  /** A lane's strip on a tread from `from` to `to` (0…1 of the tread's width). */
  readonly strip: (stage: number, lane: number, from: number, to: number) => string;
  /** The same strip where it climbs the riser behind a tread. */
  readonly riser: (stage: number, lane: number) => string;
  /** Where on the present tread a lane's progress of 0…1 lies, as a share of the tread's width. */
  readonly alongTread: (progress: number) => number;
  /** Middle of a lane at a progress of 0…1 on the present tread. */
  readonly onLane: (lane: number, progress: number) => Point;
  /** Foot of a gate bar: `share` 0…1 across the depth of the present tread's far edge. */
  readonly gateFoot: (share: number) => Point;
  /** Where the figure stands. */
  readonly figure: Point;
  readonly label: (stage: number) => Point & { width: number };
}

const headroom = 46;
const firstWall = 60;
/** Radius of a lane's mark; marks keep clear of the wall of the next stage, which stands before the lanes. */
export const markRadius = 11.5;
/** How many times wider the tread that somebody stands on is drawn: it carries the marks of the lanes. */
const presentWidth = 2.7;

/** A stair seen from the side and a little from above, its lanes laid up it like runners. */
export function stairGeometry(width: number, stages: number, lanes: number, present: number): StairGeometry {
  const narrow = width < 560;
  // A phone has height to spare: there the depth grows with the lanes that have to find room in it.
  const depth = { x: Math.min(100, width * 0.17), y: narrow ? Math.max(58, 16 * lanes) : 84 };
  const rise = narrow ? 20 : 29;
  const tread = (width - depth.x - 4) / (stages - 1 + presentWidth);
  const height = headroom + depth.y + (stages - 1) * rise + firstWall;
  const across = (lane: number) => lane / Math.max(1, lanes);
  const [nearWall, nearEdge] = narrow ? [0.34, 0.9] : [0.3, 0.92];
  const alongTread = (share: number) => nearWall + (nearEdge - nearWall) * share;

  const widthOf = (stage: number) => tread * (stage === present ? presentWidth : 1);
  const front = (stage: number): Point => ({
    x: 2 + stage * tread + (stage > present ? (presentWidth - 1) * tread : 0),
    y: height - firstWall - stage * rise,
  });
  const at = (stage: number, along: number, inward: number): Point => {
    const corner = front(stage);
    return { x: corner.x + along * widthOf(stage) + inward * depth.x, y: corner.y - inward * depth.y };
  };
  return {
    width,
    height,
    alongTread,
    wall: (stage) => {
      const a = at(stage, 0, 0);
      const b = at(stage, 1, 0);
      return polygon([a, b, { x: b.x, y: height }, { x: a.x, y: height }]);
    },
    strip: (stage, lane, from, to) =>
      polygon([
        at(stage, from, across(lane)),
        at(stage, to, across(lane)),
        at(stage, to, across(lane + 1)),
        at(stage, from, across(lane + 1)),
      ]),
    riser: (stage, lane) => {
      const [near, far] = [at(stage, 1, across(lane)), at(stage, 1, across(lane + 1))];
      return polygon([near, far, { x: far.x, y: far.y - rise }, { x: near.x, y: near.y - rise }]);
    },
    onLane: (lane, progress) => {
      const inward = across(lane + 0.5);
      const place = at(present, alongTread(progress), inward);
      const hiddenByNextWall = inward * depth.y < rise + markRadius && present < stages - 1;
      const edge = front(present).x + widthOf(present) - markRadius;
      return hiddenByNextWall ? { ...place, x: Math.min(place.x, edge) } : place;
    },
    gateFoot: (share) => {
      const edge = at(present, 1, share);
      return { x: edge.x, y: edge.y - rise };
    },
    figure: at(present, 0.12, 0.12),
    label: (stage) => {
      const a = front(stage);
      return { x: a.x + widthOf(stage) / 2, y: a.y, width: widthOf(stage) };
    },
  };
}

function polygon(points: readonly Point[]): string {
  const outline = d3path();
  points.forEach(({ x, y }, i) => (i === 0 ? outline.moveTo(x, y) : outline.lineTo(x, y)));
  outline.closePath();
  return outline.toString();
}
