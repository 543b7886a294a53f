import { polygonHull } from "d3";
import type { Flat } from "./camera";

/** Outlines are written in whole millimetres, ten to the centimetre: whole numbers are written much faster. */
export const pathUnitsPerCm = 10;

/** What is drawn: an outline in SVG path syntax (millimetres), or words; with the extent it takes, centimetres. */
export interface Shape {
  readonly key: string;
  readonly look: string;
  readonly d: string;
  readonly near: number;
  readonly extent: Extent;
  readonly words?: { readonly text: string; readonly at: Flat; readonly size: number };
}

export interface Extent {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** What points take up, with a margin; in one walk, since it is taken of every part of every drawing. */
export function extentOf(points: readonly Flat[], margin = 0): Extent {
  let [left, top, right, bottom] = nowhere;
  for (const [x, y] of points) {
    left = Math.min(left, x);
    top = Math.min(top, y);
    right = Math.max(right, x);
    bottom = Math.max(bottom, y);
  }
  return { left: left - margin, top: top - margin, right: right + margin, bottom: bottom + margin };
}

/** What circles take up. */
export function extentOfCircles(circles: readonly Circle[]): Extent {
  let [left, top, right, bottom] = nowhere;
  for (const {
    at: [x, y],
    r,
  } of circles) {
    left = Math.min(left, x - r);
    top = Math.min(top, y - r);
    right = Math.max(right, x + r);
    bottom = Math.max(bottom, y + r);
  }
  return { left, top, right, bottom };
}

export function joined(extents: readonly Extent[]): Extent {
  let [left, top, right, bottom] = nowhere;
  for (const extent of extents) {
    left = Math.min(left, extent.left);
    top = Math.min(top, extent.top);
    right = Math.max(right, extent.right);
    bottom = Math.max(bottom, extent.bottom);
  }
  return { left, top, right, bottom };
}

/** Where a walk over places begins, before it has met one. */
const nowhere = [Infinity, Infinity, -Infinity, -Infinity] as const;

const n = (cm: number) => Math.round(cm * pathUnitsPerCm);
export const at = ([x, y]: Flat) => `${n(x)} ${n(y)}`;

export interface Circle {
  readonly at: Flat;
  readonly r: number;
}

export const polygon = (points: readonly Flat[]) => `M${points.map(at).join("L")}Z`;
export const polyline = (points: readonly Flat[]) => `M${points.map(at).join("L")}`;

export function circlePath({ at: [x, y], r }: Circle): string {
  return `M${n(x - r)} ${n(y)}a${n(r)} ${n(r)} 0 1 0 ${n(2 * r)} 0a${n(r)} ${n(r)} 0 1 0 ${n(-2 * r)} 0Z`;
}

/** The skin round two circles: a capsule that tapers. */
export function capsule(a: Circle, b: Circle): string {
  const [dx, dy] = [b.at[0] - a.at[0], b.at[1] - a.at[1]];
  const distance = Math.sqrt(dx * dx + dy * dy);
  if (distance <= Math.abs(a.r - b.r) + 0.01) return circlePath(a.r > b.r ? a : b);
  const along = Math.atan2(dy, dx);
  const open = Math.acos((a.r - b.r) / distance);
  const on = (circle: Circle, angle: number): Flat => [
    circle.at[0] + circle.r * Math.cos(angle),
    circle.at[1] + circle.r * Math.sin(angle),
  ];
  const arc = (circle: Circle, large: boolean, to: Flat) =>
    `A${n(circle.r)} ${n(circle.r)} 0 ${large ? 1 : 0} 1 ${at(to)}`;
  return (
    `M${at(on(a, along - open))}L${at(on(b, along - open))}` +
    `${arc(b, 2 * open > Math.PI, on(b, along + open))}L${at(on(a, along + open))}` +
    `${arc(a, 2 * open < Math.PI, on(a, along - open))}Z`
  );
}

/** A chain of circles with skin round each pair. */
export const chain = (circles: readonly Circle[]) =>
  circles
    .slice(1)
    .map((circle, index) => capsule(circles[index] as Circle, circle))
    .join("");

/** The skin round any number of points. */
export function hull(points: readonly Flat[]): string {
  const found = polygonHull(points.map(([x, y]): [number, number] => [x, y]));
  // Turned as capsules are, so that where the two overlap nothing is cut out.
  return polygon(found ? found.reverse() : points);
}

const turns = Array.from({ length: 16 }, (_, index): Flat => {
  const angle = (index * Math.PI) / 8;
  return [Math.cos(angle), Math.sin(angle)];
});
export const round = ({ at: [x, y], r }: Circle): Flat[] => turns.map(([c, s]) => [x + r * c, y + r * s]);
