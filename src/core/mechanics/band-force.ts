import { Type, type Static } from "@sinclair/typebox";
import { problemIf, type FieldProblem } from "~/core/schema/field-problem";

export const BandForceInput = Type.Object(
  {
    calibration: Type.Array(
      Type.Object(
        {
          stretchCm: Type.Number({ minimum: 0, maximum: 1000 }),
          forceN: Type.Number({ minimum: 0, exclusiveMaximum: 5000 }),
        },
        { additionalProperties: false },
      ),
      { minItems: 3, maxItems: 20 },
    ),
    stretchCm: Type.Number(),
  },
  { additionalProperties: false },
);
export const BandForceOutput = Type.Object({ forceN: Type.Number() });

type Point = Static<typeof BandForceInput>["calibration"][number];

/** The way from one measurement to the next: its width, cm, and its mean slope, N/cm. */
interface Segment {
  readonly left: Point;
  readonly right: Point;
  readonly width: number;
  readonly secant: number;
}

function segmentsOf(calibration: readonly Point[]): Segment[] {
  return calibration.flatMap((right, n) => {
    const left = calibration[n - 1];
    if (!left) return [];
    const width = right.stretchCm - left.stretchCm;
    return [{ left, right, width, secant: (right.forceN - left.forceN) / width }];
  });
}

/** What the schema cannot say: a band measured in order, pulling no less when longer, and no guess beyond what was measured. */
export function bandForceProblems({ calibration, stretchCm }: Static<typeof BandForceInput>): FieldProblem[] {
  const [first, last] = [calibration[0], calibration[calibration.length - 1]];
  return [
    ...segmentsOf(calibration).flatMap(({ left, right }, n) => [
      ...problemIf(
        right.stretchCm <= left.stretchCm,
        `/calibration/${n + 1}/stretchCm`,
        "must be more than the one before it",
      ),
      ...problemIf(
        right.forceN < left.forceN,
        `/calibration/${n + 1}/forceN`,
        "must not be less than the one before it",
      ),
    ]),
    ...problemIf(
      !first || !last || stretchCm < first.stretchCm || stretchCm > last.stretchCm,
      "/stretchCm",
      `must lie within what was measured: ${first?.stretchCm} to ${last?.stretchCm} cm`,
    ),
  ];
}

/**
 * Force of a band at a stretch, from the clinic's own measurements: a smooth curve through all of them that never falls
 * where they do not.
 *
 * @param input 3–20 measurements, stretch cm rising, force N never falling; a stretch within them
 * @returns newtons
 * @throws RangeError beyond the measurements
 * @example bandForce({ calibration: [{ stretchCm: 0, forceN: 0 }, { stretchCm: 20, forceN: 30 }, { stretchCm: 40, forceN: 60 }], stretchCm: 30 }) // { forceN: 45 }
 * Source: shape-preserving cubic of Fritsch & Butland 1984, recalled.
 */
export function bandForce({
  calibration,
  stretchCm,
}: Static<typeof BandForceInput>): Static<typeof BandForceOutput> {
  const segments = segmentsOf(calibration);
  const found = segments.findIndex(({ right }) => stretchCm <= right.stretchCm);
  const segment = segments[found];
  if (!segment) throw new RangeError("the stretch must lie within what was measured");
  const { left, right, width } = segment;
  const [before, after] = [segments[found - 1], segments[found + 1]];
  const slopeLeft = before ? innerSlope(before, segment) : endSlope(segment, after);
  const slopeRight = after ? innerSlope(segment, after) : endSlope(segment, before);
  const t = (stretchCm - left.stretchCm) / width;
  return {
    forceN:
      (1 + 2 * t) * (1 - t) ** 2 * left.forceN +
      t * (1 - t) ** 2 * width * slopeLeft +
      t ** 2 * (3 - 2 * t) * right.forceN -
      t ** 2 * (1 - t) * width * slopeRight,
  };
}

/** The slope between two segments: the weighted harmonic mean of theirs; flat where either is. */
function innerSlope({ width: h1, secant: d1 }: Segment, { width: h2, secant: d2 }: Segment): number {
  if (d1 === 0 || d2 === 0) return 0;
  const [w1, w2] = [2 * h2 + h1, h2 + 2 * h1];
  return (w1 + w2) / (w1 / d1 + w2 / d2);
}

/** Three-point slope at an end, counted from it; flat where it would turn round. */
function endSlope({ width: h1, secant: d1 }: Segment, next: Segment | undefined): number {
  if (!next) return d1;
  const slope = ((2 * h1 + next.width) * d1 - h1 * next.secant) / (h1 + next.width);
  return Math.sign(slope) === Math.sign(d1) ? slope : 0;
}
