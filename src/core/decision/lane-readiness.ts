import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";
import { adherenceNeeded } from "~/core/response/lane-adherence";
import { Lane } from "~/core/exercise/body";

export const laneStates = ["ready", "on-the-way", "left-out", "empty"] as const;

/** How one lane of the stage stands to the gate. */
export const LaneReadiness = Type.Object(
  {
    lane: Lane,
    state: oneOf(laneStates),
    /** Share of the lane's training days of the last two weeks that was done; null while it is too early to say. */
    adherencePercent: Type.Union([Type.Number(), Type.Null()]),
  },
  { additionalProperties: false },
);
export type LaneReadiness = Static<typeof LaneReadiness>;

export interface LaneItem {
  readonly lane: Lane;
  /** Nothing is left to turn in this stage and the run of good days is complete, or the dose is never stepped. */
  readonly asFarAsItGoes: boolean;
}

/**
 * How each lane of a stage stands: ready for the next stage, on the way, left out (less than 70 % done: it blocks the
 * gate and is named), or without any exercise.
 */
export function laneReadiness(
  lanes: readonly Lane[],
  items: readonly LaneItem[],
  adherence: ReadonlyMap<Lane, number | null>,
): LaneReadiness[] {
  return lanes.map((lane) => {
    const own = items.filter((item) => item.lane === lane);
    const adherencePercent = adherence.get(lane) ?? null;
    const state = own.length === 0 ? "empty" : stateOf(own, adherencePercent);
    return { lane, state, adherencePercent };
  });
}

function stateOf(own: readonly LaneItem[], adherencePercent: number | null): LaneReadiness["state"] {
  if (adherencePercent !== null && adherencePercent < adherenceNeeded) return "left-out";
  return own.every((item) => item.asFarAsItGoes) ? "ready" : "on-the-way";
}
