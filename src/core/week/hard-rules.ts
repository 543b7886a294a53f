import { fitsPlace, thatOrNext, type Cell, type LaidWeek } from "./laid-week";

/** Hard rules, in the order in which breaches are told. */
export const hardRules = [
  "kit",
  "minutes",
  "max-days",
  "spring-gap",
  "spring-days",
  "contacts",
  "sprint",
  "match",
  "ten",
  "lock",
] as const;
export type HardRule = (typeof hardRules)[number];

/** Forbids an item on a day, whatever else stands there. */
export interface CellRule {
  readonly code: Extract<HardRule, "kit" | "sprint" | "match">;
  readonly forbids: (week: LaidWeek, cell: Cell) => boolean;
}

/** Keeps what stands on a day, or what stands of an item, below a sum. */
export interface SumRule {
  readonly code: Extract<HardRule, "minutes" | "max-days" | "contacts" | "ten">;
  /** What is summed up: the items of each day, or the days of each item. */
  readonly over: "day" | "item";
  readonly amount: (week: LaidWeek, item: number) => number;
  /** The most; `index` of a day or of an item. */
  readonly most: (week: LaidWeek, index: number) => number;
}

const marked = (week: LaidWeek) => week.question.heldOver;

export const cellRules: readonly CellRule[] = [
  {
    code: "kit",
    forbids: ({ items, days }, { item, day }) => {
      const [work, on] = [items[item], days[day]];
      return !work || !on || !fitsPlace(work, on);
    },
  },
  {
    code: "sprint",
    forbids: (week, { item, day }) =>
      week.items[item]?.lengthensHamstring === true &&
      thatOrNext(week, day, ({ sprint }) => sprint === true, marked(week)?.sprintDates ?? []),
  },
  {
    code: "match",
    forbids: (week, { item, day }) =>
      week.items[item]?.heavyLegs === true &&
      thatOrNext(week, day, ({ match }) => match === true, marked(week)?.matchDates ?? []),
  },
];

const mostItems = 10;

export const sumRules: readonly SumRule[] = [
  {
    code: "minutes",
    over: "day",
    amount: ({ items }, item) => items[item]?.minutes ?? 0,
    most: ({ days }, day) => days[day]?.minutes ?? 0,
  },
  { code: "max-days", over: "item", amount: () => 1, most: ({ items }, item) => items[item]?.maxDays ?? 0 },
  {
    code: "contacts",
    over: "day",
    amount: ({ items }, item) => items[item]?.spring?.contacts ?? 0,
    most: ({ contactCap }) => contactCap,
  },
  { code: "ten", over: "day", amount: () => 1, most: () => mostItems },
];

/** Spring dates in a week at most. */
export const mostSpringDays = 3;
/** Spring dates nearer than this are too close, in days; farther where either is advanced (48 and 72 h). */
export const springGapDays = { usual: 2, advanced: 3 } as const;

/** What a rule sums up over a day or an item: the cells that count, each with its amount. */
export function summed(
  week: LaidWeek,
  { over, amount }: SumRule,
  index: number,
): (Cell & { readonly amount: number })[] {
  const cells: Cell[] =
    over === "day"
      ? week.itemsOn(index).map((item) => ({ item, day: index }))
      : week.daysOf(index).map((day) => ({ item: index, day }));
  return cells
    .map((cell) => ({ ...cell, amount: amount(week, cell.item) }))
    .filter(({ amount: counted }) => counted > 0);
}

/** Sums are of minutes that may be fractions: beyond this it is more. */
const rounding = 1e-9;
export const isMore = (sum: number, most: number) => sum > most + rounding;
