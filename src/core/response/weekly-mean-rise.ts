import { daysBetween } from "~/core/schedule/local-day";

export interface DayPain {
  readonly date: string;
  /** Worst pain at the site during that day's work, 0–10. */
  readonly pain: number;
}

const weekDays = 7;
const leastDays = 2;

/**
 * Mean pain of the last seven days less that of the seven days before them. A rise of more than 1 holds everything
 * (common practice).
 *
 * @param today local date, the last of the later seven days
 * @returns null when either week has fewer than two training days
 * @example weeklyMeanRise([{ date: "2026-03-02", pain: 2 }, { date: "2026-03-04", pain: 2 }, { date: "2026-03-09", pain: 4 }, { date: "2026-03-11", pain: 4 }], "2026-03-12")
 *   // 2
 */
export function weeklyMeanRise(days: readonly DayPain[], today: string): number | null {
  const week = (n: number) =>
    days.filter(({ date }) => {
      const ago = daysBetween(date, today);
      return ago >= n * weekDays && ago < (n + 1) * weekDays;
    });
  const [later, earlier] = [week(0), week(1)];
  if (later.length < leastDays || earlier.length < leastDays) return null;
  return mean(later) - mean(earlier);
}

function mean(days: readonly DayPain[]): number {
  return days.reduce((sum, { pain }) => sum + pain, 0) / days.length;
}
