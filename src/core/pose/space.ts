/** A point or direction in metres: x forward of the person standing, y up, z to the working side. */
export type Vec = readonly [number, number, number];

/** Three directions of a body part: where it faces, where its upper end is, and its working side. */
export interface Frame {
  readonly fore: Vec;
  readonly up: Vec;
  readonly side: Vec;
}

export const plus = (a: Vec, b: Vec, share = 1): Vec => [
  a[0] + share * b[0],
  a[1] + share * b[1],
  a[2] + share * b[2],
];
export const minus = (a: Vec, b: Vec): Vec => plus(a, b, -1);
export const dot = (a: Vec, b: Vec) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const cross = (a: Vec, b: Vec): Vec => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
/** By the root of the sum; the runtime's own `hypot` guards against overflow that metres never come near, and is several times slower. */
export const size = (a: Vec) => Math.sqrt(a[0] * a[0] + a[1] * a[1] + a[2] * a[2]);
export const scaled = (a: Vec, by: number): Vec => [a[0] * by, a[1] * by, a[2] * by];
export const unit = (a: Vec): Vec => scaled(a, 1 / (size(a) || 1));
export const between = (a: Vec, b: Vec, share: number): Vec => plus(scaled(a, 1 - share), b, share);

/**
 * The direction across `along` nearest to the wanted one; when that one lies along it, and so says nothing, the direction
 * across it nearest to the axis it is least like.
 *
 * @param along a unit vector
 * @example across([0, 1, 0], [3, 1, 0]) // [1, 0, 0]
 * @example across([1, 0, 0], [2, 0, 0]) // [0, 1, 0]
 */
export function across(along: Vec, wanted: Vec): Vec {
  const rest = minus(wanted, scaled(along, dot(wanted, along)));
  if (size(rest) > 1e-9) return unit(rest);
  const [x, y, z] = along.map(Math.abs) as [number, number, number];
  const axis: Vec = y <= x && y <= z ? [0, 1, 0] : x <= z ? [1, 0, 0] : [0, 0, 1];
  return unit(minus(axis, scaled(along, dot(axis, along))));
}

const radians = Math.PI / 180;

/** Two directions of a frame turned in their plane; `degrees` from the first towards the second. */
function turned(first: Vec, second: Vec, degrees: number): [Vec, Vec] {
  const c = Math.cos(degrees * radians);
  const s = Math.sin(degrees * radians);
  return [plus(scaled(first, c), second, s), plus(scaled(second, c), first, -s)];
}

/** Turned about its side axis: positive lifts the front, as flexing a hip does for the thigh below it. */
export function flexed({ fore, up, side }: Frame, degrees: number): Frame {
  const [newFore, newUp] = turned(fore, up, degrees);
  return { fore: newFore, up: newUp, side };
}

/** Turned about its fore axis: positive leans the upper end to the working side. */
export function leaned({ fore, up, side }: Frame, degrees: number): Frame {
  const [newUp, newSide] = turned(up, side, degrees);
  return { fore, up: newUp, side: newSide };
}

/** Turned about its long axis: positive faces it to the working side. */
export function twisted({ fore, up, side }: Frame, degrees: number): Frame {
  const [newFore, newSide] = turned(fore, side, degrees);
  return { fore: newFore, up, side: newSide };
}

/** A vector of the frame in the room: fore, up and side shares. */
export const inFrame = ({ fore, up, side }: Frame, [f, u, s]: Vec): Vec =>
  plus(plus(scaled(fore, f), up, u), side, s);
