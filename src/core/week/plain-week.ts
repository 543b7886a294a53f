import { hardBreaches } from "./judge-hard";
import { laidWeek, type Cell, type LaidWeek } from "./laid-week";
import type { Placed, WeekQuestion } from "./week";

/**
 * A week for when time ended before a solver had found any: exercise by exercise in the order of the plan, once, then a second
 * time and so on up to what each asks at least, every time on the day with the least work on which it breaks no hard rule.
 *
 * @param placed what stands already
 * @param barred what is locked off a day
 * @returns all that is placed, `placed` first; never more hard rules broken than by `placed` alone
 * @example plainWeek({ days: [{ date: "2026-03-09", minutes: 10, places: [{ place: "home", kit: [] }] }], items: [{ id: "a", minutes: 5, minDays: 1, maxDays: 7, lanes: [], kit: [] }] }, [], () => false)
 *   // [{ item: "a", date: "2026-03-09" }]
 * Source: common practice: something of everything before more of anything.
 */
export function plainWeek(
  question: WeekQuestion,
  placed: readonly Placed[],
  barred: (cell: Cell) => boolean,
): Placed[] {
  let all = [...placed];
  let week = laidWeek(question, all);
  const broken = hardBreaches(week).length;
  const rounds = Math.max(0, ...question.items.map(({ minDays }) => minDays));
  for (let round = 1; round <= rounds; round += 1) {
    for (const [item, { id, minDays }] of question.items.entries()) {
      if (minDays < round || week.daysOf(item).length >= round) continue;
      for (const day of leastFirst(week)) {
        const date = question.days[day]?.date ?? "";
        if (barred({ item, day }) || week.daysOf(item).includes(day)) continue;
        const tried = laidWeek(question, [...all, { item: id, date }]);
        if (hardBreaches(tried).length > broken) continue;
        all = [...all, { item: id, date }];
        week = tried;
        break;
      }
    }
  }
  return all;
}

/** Days by the minutes of work that they have already. */
function leastFirst({ items, days, itemsOn }: LaidWeek): number[] {
  const minutes = (day: number) => itemsOn(day).reduce((sum, item) => sum + (items[item]?.minutes ?? 0), 0);
  return [...days.keys()].sort((a, b) => minutes(a) - minutes(b));
}
