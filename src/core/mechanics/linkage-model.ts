import type { Static, TObject } from "@sinclair/typebox";
import { gravity } from "~/core/measure/jump-height";
import { winter } from "./segments";
import type { standingFields } from "./linkage-input";

export type Standing = Static<TObject<typeof standingFields>>;

/** Head, arms and trunk as one: share of body mass, and its centre from the hip as a share of the trunk's length. */
export const headArmsTrunk = { mass: 0.678, centre: 0.626 } as const;
/** A whole leg: share of body mass, length hip to ankle over height, centre from the hip. */
export const wholeLeg = { mass: 0.161, length: 0.491, centre: 0.447 } as const;
/** One arm: share of body mass, shoulder to wrist and to hand over height, centre from the shoulder. */
export const wholeArm = { mass: 0.05, length: 0.332, toHand: 0.44, centre: 0.53 } as const;

const freeLegDeg = { front: 45, beside: 0, behind: -45 } as const;
const radians = (deg: number) => (deg * Math.PI) / 180;

/**
 * A body on one or two legs as a flat chain, resolved but for its two angles. Origin at the ankle, x forward, metres and
 * kilograms; whatever does not turn with the trunk hangs at the hip's x.
 */
export interface LinkageModel {
  readonly legs: 1 | 2;
  readonly shankM: number;
  readonly thighM: number;
  readonly trunkM: number;
  readonly ankleHeightM: number;
  readonly toeM: number;
  readonly pressureM: number;
  /** Of the loaded leg or legs. */
  readonly shankKg: number;
  readonly thighKg: number;
  /** Everything above the hip, and the free leg: mass, and its first moment about the hip in two parts. */
  readonly aboveHipKg: number;
  /** First moment about the hip that stays however the trunk leans, kg·m. */
  readonly fixedKgM: number;
  /** First moment about the hip for each unit of the sine of the lean, kg·m. */
  readonly leaningKgM: number;
}

/**
 * Masses and levers of one person standing, as the linkage's arithmetic wants them.
 *
 * Source: segment shares of Winter 2009, recalled.
 */
export function linkageModel(standing: Standing): LinkageModel {
  const { bodyMassKg: mass, heightM: height, barKg = 0, dumbbellsKg = 0, armsForward = false } = standing;
  const legs = standing.stance === "double" ? 2 : 1;
  const trunkM = winter.length.trunk * height;
  const trunkKg = headArmsTrunk.mass * mass;
  const armsKg = armsForward ? 2 * wholeArm.mass * mass : 0;
  const armCentreM = wholeArm.centre * wholeArm.length * height;
  const handsAheadM = armsForward ? wholeArm.toHand * height : 0;
  const freeKg = legs === 1 ? wholeLeg.mass * mass : 0;
  const { shankM = winter.length.shank * height, thighM = winter.length.thigh * height } = standing;
  const freeM = wholeLeg.centre * (shankM + thighM);
  const foot = winter.length.foot * height;
  return {
    legs,
    shankM,
    thighM,
    trunkM,
    ankleHeightM: winter.length.ankleHeight * height,
    toeM: 0.75 * foot,
    pressureM: ((standing.pressurePoint ?? 0.5) - 0.25) * foot,
    shankKg: legs * winter.mass.shank * mass,
    thighKg: legs * winter.mass.thigh * mass,
    aboveHipKg: trunkKg + barKg + dumbbellsKg + freeKg,
    // Arms reached forward leave the trunk's line, where their weight hangs else, for the height of the shoulder.
    fixedKgM:
      dumbbellsKg * handsAheadM +
      armsKg * armCentreM +
      freeKg * freeM * Math.sin(radians(freeLegDeg[standing.freeLeg ?? "beside"])),
    leaningKgM:
      trunkKg * headArmsTrunk.centre * trunkM + (barKg + dumbbellsKg) * trunkM + armsKg * armCentreM,
  };
}

/** Where the knee and the hip are, metres from the ankle; angles in degrees. */
export function jointsAt(
  { shankM, thighM }: Pick<LinkageModel, "shankM" | "thighM">,
  kneeFlexionDeg: number,
  shankDeg: number,
) {
  const shank = radians(shankDeg);
  const thigh = radians(kneeFlexionDeg - shankDeg);
  const knee = { x: shankM * Math.sin(shank), y: shankM * Math.cos(shank) };
  return { knee, hip: { x: knee.x - thighM * Math.sin(thigh), y: knee.y + thighM * Math.cos(thigh) } };
}

/** Everything above the loaded foot or feet, kilograms. */
export const supportedKg = (model: LinkageModel): number => model.shankKg + model.thighKg + model.aboveHipKg;

/** What the knee's moment gains for each unit of the sine of the shank, before gravity, kg·m of all loaded legs. */
export const kneeKgMPerSine = (model: LinkageModel): number =>
  model.shankM * (model.thighKg + model.aboveHipKg + model.shankKg * (1 - winter.centre.shank));

/**
 * External flexion moment of one knee, N·m: that of all weights above it, which balance makes a matter of the shank and
 * of where the pressure lies alone. Neither bend nor trunk, arms or free leg change it.
 */
export const kneeMomentAt = (model: LinkageModel, shankDeg: number): number =>
  (gravity / model.legs) *
  (kneeKgMPerSine(model) * Math.sin(radians(shankDeg)) - supportedKg(model) * model.pressureM);
