import type { BodyLengths } from "~/core/pose/body-lengths";
import type { Leg, Pose, Sole } from "~/core/pose/pose";
import { letFly } from "./let-fly";
import { arm, freeLeg, onBoth, onOne } from "./parts";

/** One leg in the air while the other jumps. */
const tucked = (): Leg => freeLeg({ hip: 26, knee: 88 });

export const armsBack = (): Pose["arms"] => {
  const one = arm({ flexion: -30, elbow: 24, abduction: 10, room: true });
  return { w: one, o: one };
};
export const armsUp = (): Pose["arms"] => {
  const one = arm({ flexion: 62, elbow: 40, abduction: 10, room: true });
  return { w: one, o: one };
};

interface Legs {
  readonly single: boolean;
  readonly knee: number;
}

/** Bent to jump or to land, held by the pelvis so that it can leave the ground. */
export function bent(b: BodyLengths, { single, knee }: Legs, arms = armsBack()): Pose {
  const shin = 0.42 * knee;
  return letFly(b, single ? onOne(b, knee, shin, tucked(), { arms }) : onBoth(b, knee, shin, { arms }));
}

/** The same pose somewhere else: forward, up, aside, and turned about the upright. */
export function moved(p: Pose, by: { x?: number; y?: number; z?: number; turn?: number }): Pose {
  const { x = 0, y = 0, z = 0, turn = 0 } = by;
  const a = (turn * Math.PI) / 180;
  const about = (px: number, pz: number): [number, number] => {
    const [dx, dz] = [px - (p.root.x ?? 0), pz - (p.root.z ?? 0)];
    return [
      (p.root.x ?? 0) + dx * Math.cos(a) - dz * Math.sin(a),
      (p.root.z ?? 0) + dx * Math.sin(a) + dz * Math.cos(a),
    ];
  };
  const shift = (one: Leg, outward: 1 | -1): Leg => {
    const s = one.sole;
    if (s?.x === undefined)
      return turn === 0 ? one : { ...one, room: false, hip: one.room ? one.hip + p.pelvis.pitch : one.hip };
    const [sx, sz] = about(s.x, s.z ?? 0);
    return { ...one, sole: { ...s, x: sx + x, z: sz + z, y: s.y + y, turn: s.turn + turn * outward } };
  };
  return {
    ...p,
    pelvis: { ...p.pelvis, turn: p.pelvis.turn + turn },
    root: { ...p.root, x: (p.root.x ?? 0) + x, y: (p.root.y ?? 0) + y, z: (p.root.z ?? 0) + z },
    legs: { w: shift(p.legs.w, 1), o: shift(p.legs.o, -1) },
  };
}

/** In the air: nearly straight, the feet that jumped pointing down below the hips. */
export function airborne(
  b: BodyLengths,
  from: Pose,
  rise: number,
  by: { x?: number; z?: number; turn?: number } = {},
): Pose {
  const up = 0.515 * b.height + rise - (from.root.y ?? 0);
  const pointing = (one: Leg): Leg =>
    one.sole?.x === undefined
      ? one
      : one.sole.free
        ? { ...one, sole: { ...one.sole, y: one.sole.y + up } }
        : {
            ...one,
            sole: {
              ...one.sole,
              x: (from.root.x ?? 0) + 0.01,
              y: one.sole.y + rise,
              pitch: 26,
              free: true,
            } as Sole,
          };
  const higher: Pose = {
    ...from,
    pelvis: { ...from.pelvis, pitch: 6 },
    legs: { w: pointing(from.legs.w), o: pointing(from.legs.o) },
    root: { ...from.root, y: (from.root.y ?? 0) + up },
    arms: armsUp(),
  };
  return moved(higher, by);
}
