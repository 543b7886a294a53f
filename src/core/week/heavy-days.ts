import { daysBetween } from "~/core/schedule/local-day";
import type { Cell, LaidWeek } from "./laid-week";

/** Days on which a muscle is worked heavily: in the week, with the work that does; or of the weeks beside. */
export interface HeavyDay {
  readonly muscle: string;
  readonly date: string;
  /** Null in another week. */
  readonly day: number | null;
  readonly cells: readonly Cell[];
}

/** Heavy days of one muscle nearer than this are too close, in days (48 h; ACSM 2009, recalled). */
const gapDays = 2;

/** Muscles that some work of a week loads heavily. */
export const heavyMuscles = ({ items }: Pick<LaidWeek, "items">): string[] => [
  ...new Set(items.flatMap((item) => item.heavyMuscles ?? [])),
];

/** Heavy days of a muscle in the week and in those beside it, by date. */
export function heavyDays(week: LaidWeek, muscle: string): HeavyDay[] {
  const own = week.days.flatMap(({ date }, day): HeavyDay[] => {
    const cells = week
      .itemsOn(day)
      .filter((item) => week.items[item]?.heavyMuscles?.includes(muscle))
      .map((item) => ({ item, day }));
    return cells.length > 0 ? [{ muscle, date, day, cells }] : [];
  });
  const beside = (week.question.heldOver?.heavyDates ?? [])
    .filter(({ muscles }) => muscles.includes(muscle))
    .map(({ date }): HeavyDay => ({ muscle, date, day: null, cells: [] }));
  return [...own, ...beside].sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0));
}

/** Whether two heavy days of one muscle lie too close. */
export function tooSoon(a: Pick<HeavyDay, "date">, b: Pick<HeavyDay, "date">): boolean {
  const apart = Math.abs(daysBetween(a.date, b.date));
  return apart > 0 && apart < gapDays;
}

export interface CloseHeavy {
  /** The date of this week that is too close to an earlier one, or to one of another week. */
  readonly day: number;
  readonly pair: readonly [HeavyDay, HeavyDay];
}

/** Pairs of heavy days of one muscle that lie too close; of two in this week the later one is named. */
export function closeHeavy(week: LaidWeek): CloseHeavy[] {
  return heavyMuscles(week).flatMap((muscle) => {
    const all = heavyDays(week, muscle);
    return all.flatMap((later, n) =>
      all.slice(0, n).flatMap((earlier): CloseHeavy[] => {
        const day = later.day ?? earlier.day;
        return day !== null && tooSoon(earlier, later) ? [{ day, pair: [earlier, later] }] : [];
      }),
    );
  });
}
