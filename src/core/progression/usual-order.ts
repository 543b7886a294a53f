import type { Exercise } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import type { ItemRole } from "~/core/exercise/role";

/** What the usual order is told by. */
export interface OrderedItem {
  readonly role: ItemRole;
  readonly exercise: Pick<Exercise, "lane" | "effort">;
  readonly prescription: Prescription;
}

/** The groups of a session in their order; the first that an exercise belongs to counts. */
const groups: readonly ((item: OrderedItem) => boolean)[] = [
  ({ role }) => role === "primer",
  ({ role, exercise: { lane } }) => role === "main" && lane === "balance",
  ({ role, exercise: { lane } }) => role !== "test" && (lane === "landing" || lane === "running"),
  ({ role, exercise, prescription: { settings } }) =>
    role === "main" &&
    exercise.effort === "hard" &&
    settings["laterality"] === "both" &&
    exercise.lane !== "trunk",
  ({ role, exercise: { lane }, prescription: { dose } }) =>
    role === "main" && !ending.has(lane) && dose.style !== "stretch",
  ({ role, exercise: { lane } }) => role === "main" && lane === "trunk",
  ({ role, prescription: { dose } }) => role !== "test" && dose.style === "stretch",
  ({ role }) => role !== "test",
];
const ending: ReadonlySet<string> = new Set(["trunk", "mobility"]);

/**
 * A session in its usual order: primers, balance and springs while fresh, heavy work on two legs, single-leg and isolated work, trunk,
 * stretches, what may be left out, and tests last. Within a group the order stays.
 *
 * Source: common practice.
 */
export function usualOrder<T extends OrderedItem>(items: readonly T[]): T[] {
  const place = (item: T) => {
    const at = groups.findIndex((belongs) => belongs(item));
    return at < 0 ? groups.length : at;
  };
  return [...items].sort((a, b) => place(a) - place(b));
}
