import { usualHabits, type Habits, type Ways } from "~/contract/habits";
import { fromDatabaseJson } from "~/server/db/connection";
import type { StaffContext } from "~/server/staff-context";

/** A clinic's habits as its row keeps them; what it never set is as usual. */
export function habitsOf(kept: unknown): Habits {
  return kept === null ? usualHabits : { ...usualHabits, ...fromDatabaseJson<Partial<Habits>>(kept) };
}

/** How a clinic writes weights, lengths and dates. */
export const clinicWays = ({ weight, length, dates }: Habits): Ways => ({ weight, length, dates });

/** How weights, lengths and dates are written for somebody: as they like it, or as their clinic does. */
export function waysOf({ habits, preferences }: Pick<StaffContext, "habits" | "preferences">): Ways {
  return {
    weight: preferences.weight ?? habits.weight,
    length: preferences.length ?? habits.length,
    dates: preferences.dates ?? habits.dates,
  };
}
