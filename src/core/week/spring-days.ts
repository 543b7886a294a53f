import { daysBetween } from "~/core/schedule/local-day";
import { springGapDays } from "./hard-rules";
import type { Cell, LaidWeek } from "./laid-week";

/** A date on which springs are done: in the week, with the items that make it one; or of the weeks beside. */
export interface SpringDate {
  readonly date: string;
  /** Null in another week. */
  readonly day: number | null;
  readonly advanced: boolean;
  readonly cells: readonly Cell[];
}

const isSpring = ({ items }: LaidWeek, item: number) => items[item]?.spring !== undefined;

/** Spring dates of the week and of those beside it, by date. */
export function springDates(week: LaidWeek): SpringDate[] {
  const { springDates: held = [], advancedSpringDates: advanced = [] } = week.question.heldOver ?? {};
  const own = week.days.flatMap(({ date }, day): SpringDate[] => {
    const cells = week.itemsOn(day).flatMap((item) => (isSpring(week, item) ? [{ item, day }] : []));
    if (cells.length === 0) return [];
    return [
      {
        date,
        day,
        advanced: cells.some(({ item }) => week.items[item]?.spring?.advanced),
        cells,
      },
    ];
  });
  const beside = [...new Set([...held, ...advanced])].map((date) => ({
    date,
    day: null,
    advanced: advanced.includes(date),
    cells: [],
  }));
  return [...own, ...beside].sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0));
}

/** Whether two spring dates lie too close. */
export function tooClose(
  a: Pick<SpringDate, "date" | "advanced">,
  b: Pick<SpringDate, "date" | "advanced">,
): boolean {
  const apart = Math.abs(daysBetween(a.date, b.date));
  return apart > 0 && apart < (a.advanced || b.advanced ? springGapDays.advanced : springGapDays.usual);
}

export interface CloseSprings {
  /** The date of this week that is too close to an earlier one, or to one of another week. */
  readonly day: number;
  readonly pair: readonly [SpringDate, SpringDate];
}

/** Pairs of spring dates that lie too close; of two in this week the later one is named. */
export function closeSprings(week: LaidWeek): CloseSprings[] {
  const all = springDates(week);
  return all.flatMap((later, n) =>
    all.slice(0, n).flatMap((earlier): CloseSprings[] => {
      const day = later.day ?? earlier.day;
      return day !== null && tooClose(earlier, later) ? [{ day, pair: [earlier, later] }] : [];
    }),
  );
}
