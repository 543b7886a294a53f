import type { BodyLengths } from "~/core/pose/body-lengths";

/** Ankle over the ground on a sole pitched so, relative to where it would stand flat: [forward, up], metres. */
export function ankleOnSole(b: BodyLengths, pitch: number): [number, number] {
  const pivot = pitch > 0 ? b.ball : -b.heel;
  const a = (-pitch * Math.PI) / 180;
  const [x, y] = [-pivot, b.ankleHeight];
  return [pivot + x * Math.cos(a) - y * Math.sin(a), x * Math.sin(a) + y * Math.cos(a)];
}

/** Hip to ankle when the knee bends so, metres. */
export const hipToAnkle = (b: BodyLengths, kneeDeg: number) =>
  Math.sqrt(b.thigh ** 2 + b.shank ** 2 + 2 * b.thigh * b.shank * Math.cos((kneeDeg * Math.PI) / 180));

/** Where a sole must stand, forward of the hip, so that the knee bends so. */
export function soleAhead(b: BodyLengths, hipHeight: number, kneeDeg: number, soleY = 0, pitch = 0): number {
  const [forward, up] = ankleOnSole(b, pitch);
  const drop = hipHeight - (soleY + up);
  return Math.sqrt(Math.max(0, hipToAnkle(b, kneeDeg) ** 2 - drop ** 2)) - forward;
}
