import { across, between, dot, minus, plus, scaled, size, unit, type Vec } from "./space";

/**
 * Where the joint between two links lies when their ends are given: an elbow or a knee.
 *
 * @param pole the direction towards which it bends; one that lies along the line between the ends leaves the choice open
 * @returns the joint, or null when the links cannot span the distance (to a tenth of a millimetre)
 */
export function twoLinks(start: Vec, end: Vec, first: number, second: number, pole: Vec): Vec | null {
  const line = minus(end, start);
  const distance = size(line);
  if (distance > first + second + 1e-4 || distance < Math.abs(first - second) - 1e-4 || distance === 0)
    return null;
  if (distance >= first + second) return between(start, end, first / (first + second));
  const along = unit(line);
  const share = Math.min(
    1,
    Math.max(-1, (first ** 2 + distance ** 2 - second ** 2) / (2 * first * distance)),
  );
  return plus(plus(start, along, first * share), across(along, pole), first * Math.sqrt(1 - share ** 2));
}

/**
 * Which way a link faces: to where the next one bends, or, when both are in line, to where they would.
 *
 * @param up the link's long axis
 * @param next direction of the next link
 * @param straight the direction to face when nothing bends
 */
export function facing(up: Vec, next: Vec, straight: Vec): Vec {
  const turns = size(minus(next, scaled(up, dot(next, up)))) > 0.02;
  return across(up, turns ? next : straight);
}
