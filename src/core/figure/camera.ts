import type { Vec } from "~/core/pose/space";

export type Flat = readonly [number, number];

/** Looks level at the room from a side; what it sees is in centimetres, y downward. */
export interface Camera {
  readonly flat: (at: Vec) => Flat;
  /** How near a place is, metres; larger is nearer. */
  readonly near: (at: Vec) => number;
  /** Which of a block's faces are seen. */
  readonly sees: { readonly front: boolean; readonly back: boolean; readonly side: boolean };
}

/**
 * @param viewDeg degrees round from the working side towards the front
 * @param mirrored the working side is the left: everything is seen the other way round
 */
export function camera(viewDeg: number, mirrored: boolean): Camera {
  const angle = (viewDeg * Math.PI) / 180;
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const sign = mirrored ? -1 : 1;
  return {
    flat: ([x, y, z]) => [sign * 100 * (x * c - z * s), -100 * y],
    near: ([x, , z]) => x * s + z * c,
    sees: { front: s > 0.05, back: s < -0.05, side: c > 0.05 },
  };
}
