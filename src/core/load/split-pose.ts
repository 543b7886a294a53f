import type { Figure } from "~/core/figure/figure";
import type { BodyLengths } from "~/core/pose/body-lengths";
import type { Leg, Pose } from "~/core/pose/pose";

/** A split stance as it is drawn: the front leg's two angles, how far behind the other foot stands, and the trunk. */
export interface SplitPose {
  readonly kneeFlexionDeg: number;
  readonly shankInclinationDeg: number;
  readonly trunkLeanDeg: number;
  /** Front ankle to the ball of the rear foot, metres. */
  readonly stanceLengthM: number;
  readonly barKg: number;
}

/** How far the heel of the rear foot is lifted, degrees, as the split squats are drawn. */
const heelLiftDeg = 52;

/**
 * How high the rear ankle stands over a foot on its ball, metres.
 *
 * @example rearAnkleHeight({ ball: 0.12, ankleHeight: 0.07 }).toFixed(3) // "0.138"
 */
export function rearAnkleHeight({ ball, ankleHeight }: Pick<BodyLengths, "ball" | "ankleHeight">): number {
  const lift = (heelLiftDeg * Math.PI) / 180;
  return ankleHeight * Math.cos(lift) + ball * Math.sin(lift);
}

/**
 * The drawing of a split stance: the chain of splitStance, link by link, with the body of the figures on it.
 *
 * @returns a figure that holds still, seen from the side, the front ankle at x = 0
 */
export function splitFigure(lengths: BodyLengths, set: SplitPose): Figure {
  const front: Leg = {
    hip: set.kneeFlexionDeg - set.shankInclinationDeg,
    abduction: 0,
    rotation: 0,
    knee: set.kneeFlexionDeg,
    ankle: set.shankInclinationDeg,
    room: true,
    sole: { y: 0, pitch: 0, turn: 0, free: false },
  };
  const rear: Leg = {
    hip: 0,
    abduction: 0,
    rotation: 0,
    knee: 0,
    ankle: 0,
    room: false,
    sole: {
      x: -set.stanceLengthM - lengths.ball,
      z: -lengths.hipCentre,
      y: 0,
      pitch: heelLiftDeg,
      turn: 0,
      free: false,
      knee: [0.7, -0.6, 0],
    },
  };
  const arm = { flexion: 6, abduction: 6, rotation: 0, elbow: 8, room: true };
  const pose: Pose = {
    lie: "upright",
    pelvis: { pitch: set.trunkLeanDeg, lean: 0, turn: 0 },
    spine: { flexion: 0, lean: 0, turn: 0 },
    neck: { flexion: -Math.min(45, Math.max(0, set.trunkLeanDeg) * 0.7), turn: 0 },
    legs: { w: front, o: rear },
    arms: { w: arm, o: arm },
    root: { point: "w.ankle", x: 0, y: lengths.ankleHeight, z: lengths.hipCentre },
  };
  return {
    viewDeg: 0,
    keys: [pose],
    timing: { kind: "hold" },
    props: set.barKg > 0 ? [{ kind: "barbell", at: "neck" }] : [],
    contacts: [],
  };
}
