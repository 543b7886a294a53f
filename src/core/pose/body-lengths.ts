import { breadth, winter } from "~/core/mechanics/segments";

/** Heights a body is drawn for, metres. */
export const drawnHeights = { low: 1, high: 2.4 } as const;

/** Lengths of one person, metres. */
export interface BodyLengths {
  readonly height: number;
  readonly foot: number;
  readonly ankleHeight: number;
  readonly shank: number;
  readonly thigh: number;
  readonly trunk: number;
  readonly lumbar: number;
  readonly upperArm: number;
  readonly forearm: number;
  readonly grip: number;
  readonly headAndNeck: number;
  readonly hipCentre: number;
  readonly shoulderCentre: number;
  /** Ankle to ball, and ankle to heel, along the sole. */
  readonly ball: number;
  readonly heel: number;
}

export interface BodySize {
  readonly heightM: number;
  readonly shankM?: number;
  readonly thighM?: number;
}

/**
 * The lengths of a person's segments from their height; measured limbs take the place of the shares.
 *
 * @param size height 1.0–2.4 m; shank and thigh 0.15–0.8 m where measured
 * @returns lengths in metres
 * @throws RangeError outside those ranges: no body is drawn that nobody has
 * @example bodyLengths({ heightM: 1.8 }).shank // 0.4428
 */
export function bodyLengths({ heightM, shankM, thighM }: BodySize): BodyLengths {
  if (!(heightM >= drawnHeights.low && heightM <= drawnHeights.high))
    throw new RangeError("height must be from 1.0 to 2.4 m");
  for (const [name, value] of [
    ["shank", shankM],
    ["thigh", thighM],
  ] as const) {
    if (value !== undefined && !(value >= 0.15 && value <= 0.8))
      throw new RangeError(`${name} must be from 0.15 to 0.8 m`);
  }
  const { length } = winter;
  const of = (share: number) => share * heightM;
  const foot = of(length.foot);
  return {
    height: heightM,
    foot,
    ankleHeight: of(length.ankleHeight),
    shank: shankM ?? of(length.shank),
    thigh: thighM ?? of(length.thigh),
    trunk: of(length.trunk),
    lumbar: of(breadth.lumbar),
    upperArm: of(length.upperArm),
    forearm: of(length.forearm),
    grip: of(breadth.grip),
    headAndNeck: of(length.headAndNeck),
    hipCentre: of(breadth.hipCentre),
    shoulderCentre: of(breadth.shoulderCentre),
    ball: (breadth.ballOfFoot - breadth.ankleOfFoot) * foot,
    heel: breadth.ankleOfFoot * foot,
  };
}

/**
 * The same of a body of whom a limb may not have been measured.
 *
 * @example lengthsOf({ heightM: 1.8, shankM: 0.45, thighM: null }).shank // 0.45
 */
export const lengthsOf = ({ heightM, shankM, thighM }: MeasuredSize): BodyLengths =>
  bodyLengths({ heightM, ...(shankM ? { shankM } : {}), ...(thighM ? { thighM } : {}) });

interface MeasuredSize {
  readonly heightM: number;
  readonly shankM?: number | null;
  readonly thighM?: number | null;
}
