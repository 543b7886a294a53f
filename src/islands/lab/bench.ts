import type { Static } from "@sinclair/typebox";
import type { SquatLinkageInput } from "~/core/mechanics/squat-linkage";
import type { LoadedBody } from "~/catalogue/loads/loads-of";
import { usualSeatOffsetCm } from "~/core/mechanics/box-height";
import { lengthsOf } from "~/core/pose/body-lengths";

/** A squat as it is set on the bench. */
export interface Bench {
  readonly kneeDeg: number;
  readonly shankDeg: number;
  /** Along the foot, 0 heel to 1 toe. */
  readonly pressurePoint: number;
  readonly stance: "double" | "single";
  readonly freeLeg: "front" | "beside" | "behind";
  readonly armsForward: boolean;
  readonly barKg: number;
  readonly handsKg: number;
}

export const startingBench: Bench = {
  kneeDeg: 60,
  shankDeg: 25,
  pressurePoint: 0.5,
  stance: "double",
  freeLeg: "front",
  armsForward: true,
  barKg: 0,
  handsKg: 0,
};

export const benchRange = { knee: [0, 130], shank: [-30, 60] } as const;

/** A mass for which the sums of posture are made, kilograms. */
export const massWithin = ({ massKg }: LoadedBody): number => Math.min(300, Math.max(20, massKg));

/** Height and measured limbs, as the calculations of posture take them. */
export const sizeOf = ({ heightM, shankM, thighM }: LoadedBody) => ({
  heightM,
  ...(shankM ? { shankM } : {}),
  ...(thighM ? { thighM } : {}),
});

/** The bench as the linkage is asked. */
export function askOf(body: LoadedBody, bench: Bench): Static<typeof SquatLinkageInput> {
  return {
    bodyMassKg: massWithin(body),
    ...sizeOf(body),
    kneeFlexionDeg: bench.kneeDeg,
    shankInclinationDeg: bench.shankDeg,
    stance: bench.stance,
    freeLeg: bench.freeLeg,
    pressurePoint: bench.pressurePoint,
    barKg: bench.barKg,
    dumbbellsKg: bench.handsKg,
    armsForward: bench.armsForward,
  };
}

const degrees = (radians: number) => (radians * 180) / Math.PI;
const kept = (value: number, [least, most]: readonly [number, number]) =>
  Math.min(most, Math.max(least, value));

/**
 * The bench with its hip pulled to a place: two links from the ankle, the knee ahead of the line.
 *
 * @param x ahead of the ankle, `y` above it, metres; what the legs cannot reach is kept within their range
 */
export function hipPulled(
  { shankM, thighM }: { readonly shankM: number; readonly thighM: number },
  x: number,
  y: number,
): Pick<Bench, "kneeDeg" | "shankDeg"> {
  const reach = Math.min(
    shankM + thighM - 1e-9,
    Math.max(Math.abs(shankM - thighM) + 1e-9, Math.hypot(x, y)),
  );
  const cosine = (shankM ** 2 + thighM ** 2 - reach ** 2) / (2 * shankM * thighM);
  const kneeDeg = 180 - degrees(Math.acos(Math.min(1, Math.max(-1, cosine))));
  const atAnkle = degrees(
    Math.acos(Math.min(1, Math.max(-1, (shankM ** 2 + reach ** 2 - thighM ** 2) / (2 * shankM * reach)))),
  );
  const line = degrees(Math.atan2(x, y));
  return { kneeDeg: kept(kneeDeg, benchRange.knee), shankDeg: kept(line + atAnkle, benchRange.shank) };
}

/** The bench with the box pulled up or down: the bend at which these hips come down to it; the shin stays. */
export function boxPulled(body: LoadedBody, shankDeg: number, boxM: number): Pick<Bench, "kneeDeg"> {
  const { shank, thigh, ankleHeight } = lengthsOf(body);
  const hipM = boxM + usualSeatOffsetCm / 100;
  const cosine = (hipM - ankleHeight - shank * Math.cos((shankDeg * Math.PI) / 180)) / thigh;
  return { kneeDeg: kept(shankDeg + degrees(Math.acos(kept(cosine, [-1, 1]))), benchRange.knee) };
}

/** The bench with its knee pulled forward or back; the bend stays. */
export function kneePulled(shankM: number, x: number): Pick<Bench, "shankDeg"> {
  return { shankDeg: kept(degrees(Math.asin(kept(x / shankM, [-1, 1]))), benchRange.shank) };
}
