import type { PlanWeekInput } from "./plan-week";
import type { Lock, WeekQuestion } from "./week";

/** Somebody waits for it: then the best so far is better than a better one. */
const secondsWaited = 4;

/**
 * What the planner is asked when the rest of a week is laid out anew: days that are over have no minutes left. What was done on
 * them stands, nothing is added, and no lock holds what was missed.
 *
 * @param today `YYYY-MM-DD` where the patient is
 * @example restOfWeek({ days: [], items: [], stageLanes: [] }, [{ item: "a", date: "2026-03-09", on: true }], "2026-03-10").locks // []
 */
export function restOfWeek(question: WeekQuestion, locks: readonly Lock[], today: string): PlanWeekInput {
  return {
    ...question,
    days: question.days.map((day) => (day.date < today ? { ...day, minutes: 0 } : day)),
    locks: locks.filter(({ date }) => date >= today),
    secondsLimit: secondsWaited,
  };
}
