import { variantOf, type Exercise } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import type { StopSignal } from "~/core/decision/record/decide-input";

/** An item as a stop signal sees it. */
export interface ScopedItem {
  readonly itemId: string;
  readonly exercise: Exercise;
  readonly prescription: Prescription;
}

/** The exercise that a signal was seen in. */
export interface SeenIn {
  readonly exercise: Pick<Exercise, "id" | "lane">;
}

type Reach = (item: ScopedItem, seenIn: SeenIn | null) => boolean;

const impactLanes: readonly string[] = ["landing", "running"];

/**
 * What each scope of a stop signal suspends; a session's signal holds everything until it is cleared. An exercise that left
 * the plan and came back is the same exercise.
 */
const reaches: Record<StopSignal["scope"], Reach> = {
  item: (item, seenIn) => item.exercise.id === seenIn?.exercise.id,
  lane: (item, seenIn) => item.exercise.lane === seenIn?.exercise.lane,
  impact: ({ exercise, prescription }) =>
    impactLanes.includes(exercise.lane) ||
    variantOf(exercise, prescription.variantId).settings["contraction"] === "plyometric",
  hamstrings: ({ exercise }) =>
    exercise.lane === "hamstrings" || (exercise.alsoTrains?.includes("hamstrings") ?? false),
  extension: ({ exercise }) => exercise.forbiddenBy?.includes("end-range-lumbar-extension") ?? false,
  session: () => true,
  plan: () => true,
};

/**
 * Whether a stop signal suspends an item.
 *
 * @param seenIn the exercise it was seen in; needed by the scopes `item` and `lane`
 */
export function suspends(scope: StopSignal["scope"], item: ScopedItem, seenIn: SeenIn | null): boolean {
  return reaches[scope](item, seenIn);
}
