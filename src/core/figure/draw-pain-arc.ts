import type { Body } from "~/core/pose/body";
import type { BodyLengths } from "~/core/pose/body-lengths";
import { flexed, plus, type Vec } from "~/core/pose/space";
import type { Camera } from "./camera";
import { extentOf, polygon, type Shape } from "./outline";

/** Where a joint hurts as it bends, degrees of flexion; without an end it is from there on. */
export interface DrawnPainArc {
  readonly joint: "knee" | "hip";
  readonly fromDeg: number;
  readonly toDeg: number | null;
}

const everyDeg = 5;
/** How far beyond its beginning an arc without an end is drawn, degrees. */
const openDeg = 20;
/** Length of the sector, as a share of the shank or thigh. */
const reach = 0.95;

/**
 * The sector through which the shank of the working leg hurts, seen from the knee, or its thigh, seen from the hip: it stands where
 * that part would be at those bends, whatever the bend is now.
 */
export function drawPainArc(
  { joint, fromDeg, toDeg }: DrawnPainArc,
  { legs: { w: leg }, pelvisFrame }: Body,
  lengths: BodyLengths,
  camera: Camera,
): Shape {
  const end = toDeg ?? fromDeg + openDeg;
  const steps = Math.max(1, Math.ceil((end - fromDeg) / everyDeg));
  // A knee bends its shank backward, a hip lifts its thigh forward.
  const [corner, above, length, forward] =
    joint === "knee"
      ? ([leg.knee, leg.thigh, lengths.shank, -1] as const)
      : ([leg.hip, pelvisFrame, lengths.thigh, 1] as const);
  const along = (deg: number): Vec => plus(corner, flexed(above, forward * deg).up, -length * reach);
  const rim = Array.from({ length: steps + 1 }, (_, n) => along(fromDeg + ((end - fromDeg) * n) / steps));
  const points = [corner, ...rim].map(camera.flat);
  return {
    key: "pain-arc",
    look: "pain-arc",
    d: polygon(points),
    near: camera.near(corner) + 1,
    extent: extentOf(points),
  };
}
