import type { Figure, Prop } from "~/core/figure/figure";
import { jointsAt } from "~/core/mechanics/linkage-model";
import type { BodyLengths } from "~/core/pose/body-lengths";
import type { Leg, Pose } from "~/core/pose/pose";

/** A set-up of the squat linkage that can be held: its two angles, its solved lean, and how arms and legs are. */
export interface LinkagePose {
  readonly kneeFlexionDeg: number;
  readonly shankInclinationDeg: number;
  readonly trunkLeanDeg: number;
  readonly stance: "double" | "single";
  readonly freeLeg: "front" | "beside" | "behind";
  readonly armsForward: boolean;
  readonly barKg: number;
  readonly dumbbellsKg: number;
  /** Top of a box behind, which the hips go down to, metres. */
  readonly boxM?: number;
}

/** A box under the hips of a squat. */
function boxBehind(lengths: BodyLengths, kneeDeg: number, shankDeg: number, boxM: number): Prop {
  const { hip } = jointsAt({ shankM: lengths.shank, thighM: lengths.thigh }, kneeDeg, shankDeg);
  const { height: h } = lengths;
  return {
    kind: "block",
    what: "box",
    x: [hip.x - 0.16 * h, hip.x + 0.02 * h],
    y: [0, boxM],
    z: [-0.12 * h, 0.12 * h],
  };
}

const freeLegDeg = { front: 45, beside: 0, behind: -45 } as const;

/**
 * The drawing of a squat set-up: the chain of squatLinkage, link by link, with the body of the figures on it.
 *
 * @returns a figure that holds still, seen from the side
 */
export function linkageFigure(lengths: BodyLengths, set: LinkagePose): Figure {
  const { kneeFlexionDeg: knee, shankInclinationDeg: shank, armsForward } = set;
  const standing: Leg = {
    hip: knee - shank,
    abduction: 0,
    rotation: 0,
    knee,
    ankle: shank,
    room: true,
    sole: { y: 0, pitch: 0, turn: 0, free: false },
  };
  const hanging: Leg = {
    hip: freeLegDeg[set.freeLeg],
    abduction: 0,
    rotation: 0,
    knee: set.freeLeg === "beside" ? 4 : 0,
    ankle: 0,
    room: true,
  };
  const arm = { abduction: 0, rotation: 0, elbow: armsForward ? 0 : 4 };
  const hung = set.dumbbellsKg > 0 && !armsForward;
  const pose: Pose = {
    lie: "upright",
    pelvis: { pitch: set.trunkLeanDeg, lean: 0, turn: 0 },
    spine: { flexion: 0, lean: 0, turn: 0 },
    neck: { flexion: -Math.min(45, Math.max(0, set.trunkLeanDeg) * 0.7), turn: 0 },
    legs: { w: standing, o: set.stance === "double" ? standing : hanging },
    arms: {
      w: { ...arm, flexion: armsForward ? 90 : hung ? 0 : 6, room: armsForward || hung },
      o: { ...arm, flexion: armsForward ? 90 : hung ? 0 : 6, room: armsForward || hung },
    },
    root: { point: "w.ankle", x: 0, y: lengths.ankleHeight, z: lengths.hipCentre },
  };
  return {
    viewDeg: 0,
    keys: [pose],
    timing: { kind: "hold" },
    props: [
      ...(set.boxM === undefined ? [] : [boxBehind(lengths, knee, shank, set.boxM)]),
      ...(set.barKg > 0 ? [{ kind: "barbell", at: "neck" } as const] : []),
      ...(set.dumbbellsKg > 0
        ? (["w.grip", "o.grip"] as const).map(
            (at) => ({ kind: "weight", what: "dumbbell", at, along: [0, 0, 1] }) as const,
          )
        : []),
    ],
    contacts: [],
  };
}
