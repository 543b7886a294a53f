import type { SetRecord } from "./session-record";

const hourMs = 3_600_000;
const settlesHours = 48;

interface SoreDay {
  readonly date: string;
  readonly lastSessionAt: string;
  readonly sessions: readonly { readonly items: readonly { readonly sets: readonly SetRecord[] }[] }[];
}

/**
 * The last training day, when a worked muscle was sore in it and more than two days have passed: whoever trains now is asked
 * whether it still is, and nobody else.
 *
 * @param days oldest first
 * @param now ISO instant
 * @returns its local date, or null when there is nothing to ask
 */
export function soreFrom(days: readonly SoreDay[], now: string): string | null {
  const last = days.at(-1);
  if (!last || Date.parse(now) - Date.parse(last.lastSessionAt) <= settlesHours * hourMs) return null;
  const sets = last.sessions.flatMap(({ items }) => items.flatMap((item) => item.sets));
  return sets.some(({ painSite, painDuring }) => painSite === "muscle" && painDuring > 0) ? last.date : null;
}
