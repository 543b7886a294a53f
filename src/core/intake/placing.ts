import { Type, type Static } from "@sinclair/typebox";
import { DoseMinutesOutput } from "~/core/dose/dose-minutes";
import { Lane } from "~/core/exercise/body";
import { Prescription } from "~/core/exercise/prescription";
import { GateResult } from "~/core/gate/gate";
import { oneOf } from "~/core/schema/one-of";

const Reason = Type.Object({
  code: oneOf([
    "time",
    "criteria",
    "first-stage",
    "last-stage",
    "irritability",
    "kit",
    "few-sets",
    "none-fits",
    "ability",
    "measured",
    "other-leg",
  ]),
  values: Type.Record(Type.String(), Type.Union([Type.String(), Type.Number()])),
});
export type PlacingReason = Static<typeof Reason>;

const PlacedItem = Type.Object({
  exerciseId: Type.String(),
  exerciseName: Type.String(),
  variantId: Type.String(),
  variantName: Type.String(),
  /** The exercise of the catalogue whose figure it has; null for its own. */
  drawnLike: Type.Union([Type.String(), Type.Null()]),
  prescription: Prescription,
  time: DoseMinutesOutput,
});
export type PlacedItem = Static<typeof PlacedItem>;

export const PlacedLane = Type.Object({
  lane: Lane,
  chosen: Type.Union([PlacedItem, Type.Null()]),
  alternatives: Type.Array(PlacedItem),
  /** What limits left out of this lane, by their words. */
  leftOut: Type.Array(Type.Object({ says: Type.String(), count: Type.Integer() })),
  reasons: Type.Array(Reason),
});
export type PlacedLane = Static<typeof PlacedLane>;

/** Where somebody would be placed, why, and one exercise for each lane of that stage. */
export const Placing = Type.Object({
  stage: Type.String(),
  reasons: Type.Array(Reason),
  lanes: Type.Array(PlacedLane),
  minutes: Type.Number(),
  fits: Type.Boolean(),
  /** Whole weeks that the minimum times still need to the last stage, and the weeks to the target; null without one. */
  weeksNeeded: Type.Integer(),
  weeksToTarget: Type.Union([Type.Integer(), Type.Null()]),
  /** The gate that the proposed stage ends with, as it stands: what is not met when a later stage is signed. */
  gate: Type.Union([GateResult, Type.Null()]),
});
export type Placing = Static<typeof Placing>;
