import { bisect } from "simple-statistics";
import type { Static } from "@sinclair/typebox";
import type { LoadedBody } from "~/catalogue/loads/loads-of";
import { kneecapLoad } from "~/core/mechanics/kneecap";
import { jointsAt } from "~/core/mechanics/linkage-model";
import { splitStance, type SplitStanceInput } from "~/core/mechanics/split-stance";
import { rearAnkleHeight } from "~/core/load/split-pose";
import { lengthsOf } from "~/core/pose/body-lengths";
import { benchRange, massWithin, sizeOf } from "./bench";

/** A split stance as it is set. */
export interface Split {
  readonly kneeDeg: number;
  readonly shankDeg: number;
  readonly stanceM: number;
  readonly trunkDeg: number;
  readonly barKg: number;
}

export const startingSplit: Split = { kneeDeg: 85, shankDeg: 20, stanceM: 0.6, trunkDeg: 10, barKg: 0 };
export const stanceRange = [0.3, 1.5] as const;
/** How much longer the stance is tried that the sentence speaks of, metres. */
export const longerM = 0.15;

export function splitAsked(body: LoadedBody, split: Split): Static<typeof SplitStanceInput> {
  return {
    bodyMassKg: massWithin(body),
    ...sizeOf(body),
    stanceLengthM: split.stanceM,
    kneeFlexionDeg: split.kneeDeg,
    shankInclinationDeg: split.shankDeg,
    trunkLeanDeg: split.trunkDeg,
    rearAnkleHeightM: rearAnkleHeight(lengthsOf(body)),
    barKg: split.barKg,
  };
}

/** What the front leg of a split stance carries; or why it cannot be held. */
export function splitHeld(body: LoadedBody, split: Split) {
  const held = splitStance(splitAsked(body, split));
  if (!held.feasible) return held;
  const { patellofemoralStressMPa } = kneecapLoad(split.kneeDeg, held.frontKneeMomentNm);
  return { ...held, patellofemoralStressMPa };
}

/**
 * A longer stance with the front knee as bent and the hips as far along between the feet as before: the shin comes to stand more
 * upright.
 */
export function longerWithShinUpright(body: LoadedBody, split: Split, byM = longerM): Split {
  const { shank: shankM, thigh: thighM } = lengthsOf(body);
  const hipX = (shankDeg: number) => jointsAt({ shankM, thighM }, split.kneeDeg, shankDeg).hip.x;
  const along = -hipX(split.shankDeg) / split.stanceM;
  const wanted = -along * (split.stanceM + byM);
  // The hip moves forward with the shin over the whole range: there is one shin, or none within it.
  const beyond = (shankDeg: number) => hipX(shankDeg) - wanted;
  const [least, most] = benchRange.shank;
  const shankDeg =
    beyond(least) >= 0 ? least : beyond(most) <= 0 ? most : bisect(beyond, least, most, 100, 1e-6);
  return { ...split, stanceM: split.stanceM + byM, shankDeg };
}
