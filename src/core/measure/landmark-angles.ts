import { Type, type Static } from "@sinclair/typebox";
import { problemIf, type FieldProblem } from "~/core/schema/field-problem";
import { oneOf } from "~/core/schema/one-of";

const closed = { additionalProperties: false };
/** A place in a picture, pixels; y grows downward. */
const Point = Type.Object({ x: Type.Number(), y: Type.Number() }, closed);
type Point = Static<typeof Point>;
const scale = Type.Optional(Type.Number({ exclusiveMinimum: 0 }));
const sides = ["left", "right"] as const;

const FrontInput = Type.Object(
  {
    view: Type.Literal("front"),
    stance: oneOf(sides),
    facing: oneOf(["towards", "away"]),
    hip: Point,
    knee: Point,
    ankle: Point,
    otherHip: Point,
    shoulders: Type.Tuple([Point, Point], { description: "Left, right" }),
    pixelsPerCm: scale,
  },
  closed,
);
const SideInput = Type.Object(
  {
    view: Type.Literal("side"),
    facing: oneOf(sides),
    hip: Point,
    knee: Point,
    ankle: Point,
    toe: Point,
    shoulder: Point,
    pixelsPerCm: scale,
  },
  closed,
);
export const LandmarkAnglesInput = Type.Union([FrontInput, SideInput]);
export type LandmarkAnglesInput = Static<typeof LandmarkAnglesInput>;
type Front = Static<typeof FrontInput>;
type Side = Static<typeof SideInput>;

export const LandmarkAnglesOutput = Type.Union([
  Type.Object(
    { frontalProjectionDeg: Type.Number(), pelvicDropDeg: Type.Number(), trunkLeanDeg: Type.Number() },
    closed,
  ),
  Type.Object(
    {
      kneeFlexionDeg: Type.Number(),
      hipFlexionDeg: Type.Number(),
      trunkLeanDeg: Type.Number(),
      kneePastToeCm: Type.Union([Type.Number(), Type.Null()]),
    },
    closed,
  ),
]);

/** What the schema cannot say: neighbouring points apart, and a side that fits where the hips are. */
export function landmarkProblems(input: LandmarkAnglesInput): FieldProblem[] {
  if (input.view === "side") {
    return apart(input, [
      ["hip", "knee"],
      ["knee", "ankle"],
      ["ankle", "toe"],
      ["hip", "shoulder"],
    ]);
  }
  const { hip, otherHip, shoulders } = input;
  const problems = [
    ...apart(input, [
      ["hip", "knee"],
      ["knee", "ankle"],
      ["hip", "otherHip"],
    ]),
    ...problemIf(samePlace(shoulders[0], shoulders[1]), "/shoulders/1", "lies where the other shoulder is"),
    ...problemIf(
      samePlace(middle(shoulders[0], shoulders[1]), middle(hip, otherHip)),
      "/shoulders",
      "lie where the hips are",
    ),
  ];
  if (problems.length > 0) return problems;
  return problemIf(
    Math.sign(hip.x - otherHip.x) !== outward(input),
    "/facing",
    "does not agree with where the hips are",
  );
}

/**
 * Angles of a standing or squatting person from points in a picture.
 *
 * Front: how far the knee lies inward of the line from hip to ankle (180° less the angle at the knee), how far the other hip has
 * dropped, how far the trunk leans to the side it stands on. Side: bends of knee and hip, lean of the trunk forward, the knee past
 * the toe.
 *
 * @returns degrees and centimetres, unrounded; no scale, no centimetres (null)
 * @example landmarkAngles({ view: "side", facing: "right", hip: { x: 0, y: 0 }, knee: { x: 0, y: 50 }, ankle: { x: 0, y: 100 }, toe: { x: 20, y: 105 }, shoulder: { x: 0, y: -60 } }).kneeFlexionDeg // 0
 * Source: plane geometry; the frontal projection angle as in Willson & Davis 2008, recalled.
 */
export function landmarkAngles(input: LandmarkAnglesInput): Static<typeof LandmarkAnglesOutput> {
  return input.view === "front" ? front(input) : side(input);
}

function front(input: Front) {
  const { hip, knee, ankle, otherHip, shoulders } = input;
  // Looked at as if the standing leg were on the picture's right: outward is +x.
  const turn = ({ x, y }: Point): Point => ({ x: x * outward(input), y });
  const [h, k, a, o] = [hip, knee, ankle, otherHip].map(turn) as [Point, Point, Point, Point];
  const inward = crossOf(h, a, k) >= 0 ? 1 : -1;
  const top = middle(turn(shoulders[0]), turn(shoulders[1]));
  const bottom = middle(h, o);
  return {
    frontalProjectionDeg: plain(inward * (180 - angleAt(h, k, a))),
    pelvicDropDeg: plain(degrees(Math.atan2(o.y - h.y, Math.abs(h.x - o.x)))),
    trunkLeanDeg: plain(degrees(Math.atan2(top.x - bottom.x, bottom.y - top.y))),
  };
}

function side(input: Side) {
  // Looked at as if the person faced right: forward is +x.
  const forward = input.facing === "right" ? 1 : -1;
  const turn = ({ x, y }: Point): Point => ({ x: x * forward, y });
  const [hip, knee, ankle, toe, shoulder] = [
    input.hip,
    input.knee,
    input.ankle,
    input.toe,
    input.shoulder,
  ].map(turn) as [Point, Point, Point, Point, Point];
  const kneeAhead = crossOf(hip, ankle, knee) <= 0 ? 1 : -1;
  const hipBehind = crossOf(shoulder, knee, hip) >= 0 ? 1 : -1;
  return {
    kneeFlexionDeg: plain(kneeAhead * (180 - angleAt(hip, knee, ankle))),
    hipFlexionDeg: plain(hipBehind * (180 - angleAt(shoulder, hip, knee))),
    trunkLeanDeg: plain(degrees(Math.atan2(shoulder.x - hip.x, hip.y - shoulder.y))),
    kneePastToeCm: input.pixelsPerCm === undefined ? null : plain((knee.x - toe.x) / input.pixelsPerCm),
  };
}

/** Which way in the picture the standing leg lies from the middle of the body: +1 right, −1 left. */
const outward = ({ stance, facing }: Pick<Front, "stance" | "facing">): 1 | -1 =>
  (stance === "left") === (facing === "towards") ? 1 : -1;

const degrees = (radians: number) => (radians * 180) / Math.PI;
const middle = (a: Point, b: Point): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });
const samePlace = (a: Point, b: Point) => a.x === b.x && a.y === b.y;
/** −0 becomes 0. */
const plain = (value: number) => value + 0;

/** The angle between two points seen from a third, degrees. */
function angleAt(a: Point, at: Point, b: Point): number {
  const [ux, uy, vx, vy] = [a.x - at.x, a.y - at.y, b.x - at.x, b.y - at.y];
  return degrees(Math.atan2(Math.abs(ux * vy - uy * vx), ux * vx + uy * vy));
}

/** Below 0 where a point lies to the picture's right of a line that goes down it, above 0 to its left. */
const crossOf = (from: Point, to: Point, at: Point) =>
  (to.x - from.x) * (at.y - from.y) - (to.y - from.y) * (at.x - from.x);

function apart<K extends string>(
  input: Readonly<Record<K, Point>>,
  pairs: readonly (readonly [K, K])[],
): FieldProblem[] {
  return pairs.flatMap(([a, b]) => problemIf(samePlace(input[a], input[b]), `/${b}`, `lies where ${a} is`));
}
