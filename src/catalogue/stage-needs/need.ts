import type { StageNeed } from "~/core/progression/stage-need";
import type { ForbidCode, Lane, Phase } from "~/core/exercise/body";
import type { KnobValue } from "~/core/exercise/prescription";
import type { Restriction } from "~/core/limit/restriction";
import { commonPractice } from "../source";

/** Phases that a stage allows: everything up to this one, so that earlier work stays as a primer. */
const upTo: Record<string, readonly Phase[]> = {
  early: ["range", "isometric"],
  isolated: ["range", "isometric", "isolated"],
  compound: ["range", "isometric", "isolated", "compound"],
  spring: ["isometric", "isolated", "compound", "spring"],
  running: ["isometric", "isolated", "compound", "spring", "running"],
};

/** A stage's need in one line; a lane's own phases may be narrower or wider than the stage's. */
export function need(
  pathway: string,
  stage: string,
  phase: keyof typeof upTo,
  lanes: readonly (Lane | readonly [Lane, keyof typeof upTo])[],
  limits: readonly Restriction[] = [],
): StageNeed {
  return {
    pathway,
    stage,
    lanes: lanes.map((entry) => {
      const [lane, own] = typeof entry === "string" ? [entry, phase] : entry;
      const phases = upTo[own];
      if (!phases) throw new RangeError(`unknown phase ${own}`);
      return { lane, phases: [...phases] };
    }),
    limits: [...limits],
    source: commonPractice,
  };
}

/** A stage's limit on one knob. */
export const knobLimit = (knob: string, hardest: KnobValue, says: string): Restriction => ({
  kind: "knob-limit",
  knob,
  hardest,
  origin: "stage",
  says,
});

/** A stage's limit on the bend of a joint, degrees. */
export const bendLimit = (joint: "knee" | "hip", mostDeg: number, says: string): Restriction => ({
  kind: "range-limit",
  joint,
  mostDeg,
  origin: "stage",
  says,
});

/** Early work is done on two legs: an isometric hold is not a squat held on one. */
export const onTwoLegs: Restriction = {
  kind: "legs",
  most: "both",
  origin: "stage",
  says: "on two legs in this stage",
};

/** What a stage forbids outright. */
export const forbid = (says: string, ...codes: ForbidCode[]): Restriction => ({
  kind: "forbid",
  codes,
  origin: "stage",
  says,
});
