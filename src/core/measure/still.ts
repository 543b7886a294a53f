import { Type, type Static } from "@sinclair/typebox";
import { landmarkAngles, LandmarkAnglesInput } from "./landmark-angles";

/** Points in a picture, placed once or twice, and how large the picture was that they were placed in. */
export const Still = Type.Object(
  {
    points: LandmarkAnglesInput,
    /** The same, placed a second time without looking at the first. */
    again: Type.Optional(LandmarkAnglesInput),
    width: Type.Integer({ minimum: 1, maximum: 10_000 }),
    height: Type.Integer({ minimum: 1, maximum: 10_000 }),
  },
  { additionalProperties: false },
);
export type Still = Static<typeof Still>;

/** Angles that a still gives, with the measure that takes each: null where none does. */
const measureOf = {
  front: {
    frontalProjectionDeg: "frontal-angle",
    pelvicDropDeg: "pelvic-drop",
    trunkLeanDeg: "trunk-lean",
  },
  side: {
    kneeFlexionDeg: "limit-squat",
    hipFlexionDeg: "limit-hinge",
    trunkLeanDeg: null,
    kneePastToeCm: null,
  },
} as const;

export type StillAngle =
  | "frontalProjectionDeg"
  | "pelvicDropDeg"
  | "trunkLeanDeg"
  | "kneeFlexionDeg"
  | "hipFlexionDeg"
  | "kneePastToeCm";

/** One angle of a still, degrees; or a length, centimetres. */
export interface AngleRead {
  readonly name: StillAngle;
  readonly value: number;
  /** Half of what lies between the two placings; null where it was placed once. */
  readonly spread: number | null;
  /** The measure that takes it; null where none does. */
  readonly measure: string | null;
}

/** Measures that are taken from a still, with how it is looked at. */
export const stillMeasures: ReadonlyMap<string, "front" | "side"> = new Map(
  (["front", "side"] as const).flatMap((view) =>
    Object.values(measureOf[view]).flatMap((code) => (code === null ? [] : [[code, view] as const])),
  ),
);

/**
 * The angles of a still: of two placings their middle, and how far they lie apart.
 *
 * @example anglesOfStill({ points: { view: "side", facing: "right", hip: { x: 0, y: 0 }, knee: { x: 0, y: 50 }, ankle: { x: 0, y: 100 }, toe: { x: 20, y: 105 }, shoulder: { x: 0, y: -60 } }, width: 100, height: 200 })[0]?.name // "kneeFlexionDeg"
 * Source: see landmarkAngles; two people placing points differ by a few degrees (common practice).
 */
export function anglesOfStill({ points, again }: Still): AngleRead[] {
  const first = Object.entries(landmarkAngles(points)) as [StillAngle, number | null][];
  const second = again ? (landmarkAngles(again) as Record<string, number | null>) : null;
  const codes: Readonly<Record<string, string | null>> = measureOf[points.view];
  return first.flatMap(([name, value]): AngleRead[] => {
    if (value === null) return [];
    const other = second?.[name] ?? null;
    return [
      {
        name,
        value: other === null ? value : (value + other) / 2,
        spread: other === null ? null : Math.abs(value - other) / 2,
        measure: codes[name] ?? null,
      },
    ];
  });
}
