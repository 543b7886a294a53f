import type { LandmarkAnglesInput } from "~/core/measure/landmark-angles";

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** A point of a still by its name; shoulders are two, left and right. */
export type PointName =
  "hip" | "knee" | "ankle" | "otherHip" | "leftShoulder" | "rightShoulder" | "toe" | "shoulder";

/** The points of a still in the order in which they are placed, and the lines between them. */
export function namedPoints(points: LandmarkAnglesInput): (readonly [name: PointName, at: Point])[] {
  const { hip, knee, ankle } = points;
  const leg = [
    ["hip", hip],
    ["knee", knee],
    ["ankle", ankle],
  ] as const;
  return points.view === "side"
    ? [...leg, ["toe", points.toe], ["shoulder", points.shoulder]]
    : [
        ...leg,
        ["otherHip", points.otherHip],
        ["leftShoulder", points.shoulders[0]],
        ["rightShoulder", points.shoulders[1]],
      ];
}

/** The points with one of them moved. */
export function withPoint(points: LandmarkAnglesInput, name: PointName, at: Point): LandmarkAnglesInput {
  if (points.view === "side") return { ...points, [name]: at };
  const [left, right] = points.shoulders;
  if (name === "leftShoulder") return { ...points, shoulders: [at, right] };
  if (name === "rightShoulder") return { ...points, shoulders: [left, at] };
  return { ...points, [name]: at };
}

/** What is drawn between the points. */
export function linesBetween(points: LandmarkAnglesInput): (readonly [Point, Point])[] {
  const { hip, knee, ankle } = points;
  const leg = [
    [hip, knee],
    [knee, ankle],
  ] as const;
  return points.view === "side"
    ? [...leg, [hip, points.shoulder], [points.ankle, points.toe]]
    : [...leg, [hip, points.otherHip], [points.shoulders[0], points.shoulders[1]]];
}
