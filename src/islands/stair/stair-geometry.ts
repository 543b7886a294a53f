import { scaleLinear, path as d3path } from "d3";

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
  /** Middle of a lane at a share of the tread. */
  readonly onLane: (stage: number, lane: number, share: number) => Point;
  /** Foot of a gate bar: `share` 0…1 across the depth of the tread's far edge. */
  readonly gateFoot: (stage: number, share: number) => Point;
  /** Where the figure stands. */
  readonly figure: (stage: number, share: number) => Point;
  readonly label: (stage: number) => Point;
  readonly treadWidth: number;
  readonly rise: number;
}

const headroom = 62;
const firstWall = 46;

/** A stair seen from the side and a little from above, its lanes laid up it like runners. */
export function stairGeometry(width: number, stages: number, lanes: number): StairGeometry {
  const narrow = width < 560;
  const depth = { x: Math.min(104, width * 0.16), y: narrow ? 54 : 74 };
  const rise = narrow ? 22 : 31;
  const treadWidth = (width - depth.x - 4) / stages;
  const height = headroom + depth.y + (stages - 1) * rise + firstWall;
  const across = scaleLinear([0, Math.max(1, lanes)], [0, 1]);

  const front = (stage: number): Point => ({ x: 2 + stage * treadWidth, y: height - firstWall - stage * rise });
  const at = (stage: number, along: number, inward: number): Point => {
    const corner = front(stage);
    return { x: corner.x + along * treadWidth + inward * depth.x, y: corner.y - inward * depth.y };
  };
  return {
    width,
    height,
    treadWidth,
    rise,
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
    onLane: (stage, lane, share) => at(stage, 0.1 + share * 0.8, across(lane + 0.5)),
    gateFoot: (stage, share) => {
      const edge = at(stage, 1, share);
      return { x: edge.x, y: edge.y - rise };
    },
    figure: (stage, share) => at(stage, 0.14 + share * 0.6, 0.02),
    label: (stage) => {
      const a = front(stage);
      return { x: a.x + treadWidth / 2, y: a.y };
    },
  };
}

function polygon(points: readonly Point[]): string {
  const outline = d3path();
  points.forEach(({ x, y }, i) => (i === 0 ? outline.moveTo(x, y) : outline.lineTo(x, y)));
  outline.closePath();
  return outline.toString();
}
