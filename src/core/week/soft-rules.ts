import { weekdayOn, type LaidWeek } from "./laid-week";

/** What is asked for softly: what it weighs, and what a week lacks of it. */
export const softWeights = {
  "min-days": 100_000,
  lane: 10_000,
  eight: 100,
  "next-day": 10,
  favourite: 3,
  changed: 1,
} as const;
export type SoftRule = keyof typeof softWeights;

export interface Shortfall {
  readonly rule: SoftRule;
  readonly amount: number;
  readonly item?: number;
  readonly lane?: string;
  readonly day?: number;
}

/** Days on which a lane should stand at least. */
export const laneDays = 2;
/** Items of a day that are better at most. */
export const goodItems = 8;
/** Items done more often than this may stand on days in a row. */
export const spreadUpTo = 4;

/** Everything that a week lacks, rule by rule. */
export function shortfalls(week: LaidWeek): Shortfall[] {
  const { items, days, question } = week;
  const all: Shortfall[] = [
    ...items.map(({ minDays }, item) => ({
      rule: "min-days" as const,
      item,
      amount: minDays - week.daysOf(item).length,
    })),
    ...question.stageLanes.map((lane) => ({
      rule: "lane" as const,
      lane,
      amount: laneDays - days.filter((_, day) => hasLane(week, lane, day)).length,
    })),
    ...days.map((_, day) => ({
      rule: "eight" as const,
      day,
      amount: week.itemsOn(day).length - goodItems,
    })),
    ...items.flatMap((_, item) =>
      days.map((__, day) => ({
        rule: "next-day" as const,
        item,
        day,
        amount: isNextDay(week, item, day) ? 1 : 0,
      })),
    ),
    ...days.map((day, index) => ({
      rule: "favourite" as const,
      day: index,
      amount: hasFavourites(week) && !day.favourite ? week.itemsOn(index).length : 0,
    })),
    ...items.map((_, item) => ({
      rule: "changed" as const,
      item,
      amount: question.previous
        ? days.filter((__, day) => week.on(item, day) !== stoodBefore(week, item, day)).length
        : 0,
    })),
  ];
  return all.filter(({ amount }) => amount > 0);
}

export const costOf = (all: readonly Shortfall[]): number =>
  all.reduce((sum, { rule, amount }) => sum + softWeights[rule] * amount, 0);

export const hasLane = (week: LaidWeek, lane: string, day: number): boolean =>
  week.itemsOn(day).some((item) => week.items[item]?.lanes.includes(lane));

const isNextDay = (week: LaidWeek, item: number, day: number) =>
  (week.items[item]?.minDays ?? 0) <= spreadUpTo && week.on(item, day) && week.on(item, day - 1);

export const hasFavourites = ({ days }: Pick<LaidWeek, "days">): boolean =>
  days.some(({ favourite }) => favourite === true);

/** Whether an item stood on this weekday last week. */
export function stoodBefore(week: LaidWeek, item: number, day: number): boolean {
  const weekday = weekdayOn(week, day);
  const id = week.items[item]?.id;
  return week.question.previous?.some((before) => before.item === id && before.weekday === weekday) ?? false;
}
