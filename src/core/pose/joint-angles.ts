import type { PlacedLeg } from "./place-leg";
import type { PlacedArm } from "./place-arm";
import { dot, flexed, leaned, type Frame } from "./space";

const degrees = (radians: number) => (radians * 180) / Math.PI;
const clamped = (value: number) => Math.min(1, Math.max(-1, value));

/** What a goniometer would read, degrees; flexion, abduction, outward rotation and towards the shin are positive. */
export interface LegAngles {
  readonly hip: number;
  readonly abduction: number;
  readonly rotation: number;
  readonly knee: number;
  readonly ankle: number;
}

export function legAngles(leg: PlacedLeg, pelvis: Frame, outward: 1 | -1): LegAngles {
  const down = leg.thigh.up;
  const hip = degrees(Math.atan2(-dot(down, pelvis.fore), dot(down, pelvis.up)));
  const abduction = degrees(Math.asin(clamped(-dot(down, pelvis.side) * outward)));
  const plain = leaned(flexed(pelvis, hip), -abduction * outward);
  const rotation = degrees(Math.atan2(dot(leg.thigh.fore, plain.side), dot(leg.thigh.fore, plain.fore)));
  const { shank, thigh, foot } = leg;
  const knee = degrees(Math.atan2(dot(shank.up, thigh.fore), dot(shank.up, thigh.up)));
  const ankle = degrees(Math.asin(clamped(dot(foot.fore, shank.up))));
  return { hip, abduction, rotation: rotation * outward, knee, ankle };
}

/** Flexion of the elbow, degrees. */
export function elbowAngle({ upperArm, forearm }: PlacedArm): number {
  return degrees(Math.atan2(-dot(forearm.up, upperArm.fore), dot(forearm.up, upperArm.up)));
}
