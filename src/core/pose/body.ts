import type { Placed } from "./centre-of-mass";
import type { LegAngles } from "./joint-angles";
import type { PointName } from "./pose";
import type { Frame, Vec } from "./space";

/** A body in the room. */
export interface Body extends Placed {
  readonly points: Readonly<Record<PointName, Vec>>;
  readonly pelvisFrame: Frame;
  readonly headTop: Vec;
  readonly centre: Vec;
  readonly angles: { readonly w: LegAngles; readonly o: LegAngles };
}
