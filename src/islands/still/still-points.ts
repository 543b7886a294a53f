import type { LandmarkAnglesInput } from "~/core/measure/landmark-angles";

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** A point of a body by its name; shoulders are two, left and right. */
export type JointName =
  | "hip"
  | "knee"
  | "ankle"
  | "otherHip"
  | "leftShoulder"
  | "rightShoulder"
  | "toe"
  | "shoulder";

/** The ends of a known length in the picture. */
export type ScaleName = "scaleFrom" | "scaleTo";
export type ScaleEnds = Readonly<Record<ScaleName, Point>>;

/** A length that stands beside the person at first, to be moved to what is known. */
export const scaleTemplate = ({ width, height }: { width: number; height: number }): ScaleEnds => ({
  scaleFrom: { x: Math.round(width * 0.12), y: Math.round(height * 0.6) },
  scaleTo: { x: Math.round(width * 0.12), y: Math.round(height * 0.9) },
});

/** Pixels of a centimetre; null where no length is said, or its ends lie at one place. */
export function pixelsPerCm({ scaleFrom, scaleTo }: ScaleEnds, lengthCm: string): number | null {
  const cm = Number(lengthCm.replace(",", "."));
  const pixels = Math.hypot(scaleFrom.x - scaleTo.x, scaleFrom.y - scaleTo.y);
  return lengthCm.trim() !== "" && cm > 0 && pixels > 0 ? pixels / cm : null;
}

/** The points of a still in the order in which they are placed, and the lines between them. */
export function namedPoints(points: LandmarkAnglesInput): (readonly [name: JointName, at: Point])[] {
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
export function withPoint(points: LandmarkAnglesInput, name: JointName, at: Point): LandmarkAnglesInput {
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
