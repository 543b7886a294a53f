/** Load on the kneecap at one bend. Above 110° of bend there is no figure: both are null. */
export interface KneecapLoad {
  readonly patellofemoralForceN: number | null;
  readonly patellofemoralStressMPa: number | null;
  /** Whether the bend lies beyond the curves (90–110°), which are then held at their last value. */
  readonly extrapolated: boolean;
}

const lastCurveDeg = 90;
const lastExtrapolatedDeg = 110;

/** Effective lever arm of the quadriceps, metres. van Eijden 1986, in the form of Salem & Powers 2001; recalled. */
const leverArmM = (deg: number) => 8.0e-8 * deg ** 3 - 1.3e-5 * deg ** 2 + 2.8e-4 * deg + 0.046;

/** Joint force of the kneecap per newton of the quadriceps. van Eijden 1986, in the form of Brechter & Powers 2002; recalled. */
const forceRatio = (deg: number) =>
  (0.462 + 0.00147 * deg - 3.84e-5 * deg ** 2) / (1 - 0.0162 * deg + 1.55e-4 * deg ** 2 - 6.98e-7 * deg ** 3);

/** Contact area with the knee straight, mm²; assumed. */
const straightAreaMm2 = 150;
/** Contact area, mm², at bends in degrees; Huberti & Hayes 1984, recalled. */
const contactAreas: readonly (readonly [deg: number, areaMm2: number])[] = [
  [20, 260],
  [30, 310],
  [60, 390],
  [90, 410],
];

/** Straight lines between the bends; held at the last. */
function contactAreaMm2(deg: number): number {
  let [fromDeg, area] = [0, straightAreaMm2];
  for (const [toDeg, next] of contactAreas) {
    if (deg <= toDeg) return area + ((next - area) * (deg - fromDeg)) / (toDeg - fromDeg);
    [fromDeg, area] = [toDeg, next];
  }
  return area;
}

/**
 * Stress on the kneecap per newton-metre of knee moment, MPa/(N·m), for bends of 0–90°. It has one minimum, near 23.5°,
 * and rises to both sides: a ceiling on stress can allow a band of bends that begins above zero.
 *
 * @example stressPerNewtonMetre(90) // 0.09881…
 */
export const stressPerNewtonMetre = (deg: number): number =>
  forceRatio(deg) / leverArmM(deg) / contactAreaMm2(deg);

/**
 * Force and stress under the kneecap from the knee's external flexion moment; none where the moment does not bend the knee.
 * For comparing set-ups of one person: flat, slow, no co-contraction.
 *
 * @param kneeFlexionDeg 0–150
 * @param kneeMomentNm external flexion moment of one leg, N·m
 * @example kneecapLoad(120, 80).patellofemoralStressMPa // null
 * @example kneecapLoad(30, -5).patellofemoralForceN // 0
 * Source: Salem & Powers 2001; Brechter & Powers 2002; van Eijden 1986; Huberti & Hayes 1984; recalled.
 */
export function kneecapLoad(kneeFlexionDeg: number, kneeMomentNm: number): KneecapLoad {
  if (kneeFlexionDeg > lastExtrapolatedDeg)
    return { patellofemoralForceN: null, patellofemoralStressMPa: null, extrapolated: false };
  const deg = Math.min(kneeFlexionDeg, lastCurveDeg);
  const bending = Math.max(0, kneeMomentNm);
  return {
    patellofemoralForceN: (forceRatio(deg) * bending) / leverArmM(deg),
    patellofemoralStressMPa: stressPerNewtonMetre(deg) * bending,
    extrapolated: kneeFlexionDeg > lastCurveDeg,
  };
}
