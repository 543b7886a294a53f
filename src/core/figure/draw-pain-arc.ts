import type { Body } from "~/core/pose/body";
import type { BodyLengths } from "~/core/pose/body-lengths";
import { plus, scaled, type Vec } from "~/core/pose/space";
import type { Camera } from "./camera";
import { extentOf, polygon, type Shape } from "./outline";

/** Where a knee hurts as it bends, degrees of flexion; without an end it is from there on. */
export interface DrawnPainArc {
  readonly fromDeg: number;
  readonly toDeg: number | null;
}

const everyDeg = 5;
/** How far beyond its beginning an arc without an end is drawn, degrees. */
const openDeg = 20;
/** Length of the sector, as a share of the shank. */
const reach = 0.95;

/**
 * The sector through which the shank of the working leg hurts, seen from the knee: it stands where the shank would be at those
 * bends, whatever the bend is now.
 */
export function drawPainArc(
  { fromDeg, toDeg }: DrawnPainArc,
  body: Body,
  lengths: BodyLengths,
  camera: Camera,
): Shape {
  const { knee, thigh } = body.legs.w;
  const end = toDeg ?? fromDeg + openDeg;
  const steps = Math.max(1, Math.ceil((end - fromDeg) / everyDeg));
  const along = (deg: number): Vec => {
    const bend = (deg * Math.PI) / 180;
    const up = plus(scaled(thigh.up, Math.cos(bend)), thigh.fore, Math.sin(bend));
    return plus(knee, up, -lengths.shank * reach);
  };
  const rim = Array.from({ length: steps + 1 }, (_, n) => along(fromDeg + ((end - fromDeg) * n) / steps));
  const points = [knee, ...rim].map(camera.flat);
  return {
    key: "pain-arc",
    look: "pain-arc",
    d: polygon(points),
    near: camera.near(knee) + 1,
    extent: extentOf(points),
  };
}
