import { addDays, daysBetween } from "~/core/schedule/local-day";

/** Least share of a lane's training days that counts as done, per cent (common practice). */
export const adherenceNeeded = 70;

const windowDays = 14;
const notJudgedDays = 3;

export interface LaneWork {
  /** Local date on which the lane's first present item was prescribed. */
  readonly startedOn: string;
  /** The most that any item of the lane is to be done, days a week. */
  readonly daysPerWeek: number;
  /** Local dates on which anything of the lane was done. */
  readonly doneOn: readonly string[];
}

/**
 * How much of what a lane asks for was done over the last 14 days, or since it began, its first three days left out.
 * Asked are whole training days only (days a week × days ÷ 7, rounded down, today not yet asked), so that
 * nobody falls short by a fraction of a day.
 *
 * @param today local date (YYYY-MM-DD)
 * @returns per cent 0–100; null while nothing can be asked yet
 * @example laneAdherence({ startedOn: "2026-03-01", daysPerWeek: 3, doneOn: ["2026-03-12", "2026-03-14"] }, "2026-03-15") // 50
 * Source: a rule of this product; common practice is to look at two weeks.
 */
export function laneAdherence({ startedOn, daysPerWeek, doneOn }: LaneWork, today: string): number | null {
  const age = daysBetween(startedOn, today);
  if (age < notJudgedDays) return null;
  const days = Math.min(windowDays, age - notJudgedDays);
  const asked = Math.floor((daysPerWeek * days) / 7);
  if (asked === 0) return null;
  const from = addDays(today, -days);
  const done = new Set(doneOn.filter((date) => date >= from && date <= today)).size;
  return Math.min(100, (100 * done) / asked);
}
