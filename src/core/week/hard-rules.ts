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
  "suspended",
  "spared",
  "heavy-gap",
  "week-contacts",
  "lock",
] as const;
export type HardRule = (typeof hardRules)[number];

/** Forbids an item on a day, whatever else stands there. */
export interface CellRule {
  readonly code: Extract<HardRule, "kit" | "sprint" | "match" | "suspended" | "spared">;
  readonly forbids: (week: LaidWeek, cell: Cell) => boolean;
}

/** Keeps what stands on a day, or what stands of an item, below a sum. */
export interface SumRule {
  readonly code: Extract<HardRule, "minutes" | "max-days" | "contacts" | "ten" | "week-contacts">;
  /** What is summed up: the items of each day, the days of each item, or all of the week. */
  readonly over: "day" | "item" | "week";
  readonly amount: (week: LaidWeek, item: number) => number;
  /** The most; `index` of a day or of an item, 0 of the week. */
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
  // What was done before it was stopped, or before the joint was seen to be swollen, stands.
  {
    code: "suspended",
    forbids: (week, { item, day }) => week.items[item]?.suspended === true && !week.isDone(item, day),
  },
  {
    code: "spared",
    forbids: (week, { item, day }) => {
      const { heavyLegs = false, spring } = week.items[item] ?? {};
      return (
        week.days[day]?.spared === true && (heavyLegs || spring !== undefined) && !week.isDone(item, day)
      );
    },
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
  {
    code: "week-contacts",
    over: "week",
    amount: ({ items }, item) => items[item]?.spring?.contacts ?? 0,
    most: ({ question }) => question.weekContactCap ?? Infinity,
  },
];

/** Spring dates in a week at most. */
export const mostSpringDays = 3;
/** Spring dates nearer than this are too close, in days; farther where either is advanced (48 and 72 h). */
export const springGapDays = { usual: 2, advanced: 3 } as const;

/** The days or items that a rule sums up one by one, by index; of the week there is one. */
export function summedOver({ days, items }: Pick<LaidWeek, "days" | "items">, { over }: SumRule): number[] {
  if (over === "week") return [0];
  return [...(over === "day" ? days : items).keys()];
}

/** Where a sum is too much: its day or its item; nothing of the whole week. */
export const placeOfSum = ({ over }: SumRule, index: number): { day?: number; item?: number } =>
  over === "week" ? {} : { [over]: index };

/** All cells that a rule sums up. */
export function cellsSummed(
  { days, items }: Pick<LaidWeek, "days" | "items">,
  { over }: SumRule,
  index: number,
): Cell[] {
  const [allDays, allItems] = [[...days.keys()], [...items.keys()]];
  if (over === "day") return allItems.map((item) => ({ item, day: index }));
  if (over === "item") return allDays.map((day) => ({ item: index, day }));
  return allItems.flatMap((item) => allDays.map((day) => ({ item, day })));
}

/** What a rule sums up: the cells where something stands that counts, each with its amount. */
export function summed(laid: LaidWeek, rule: SumRule, index: number): (Cell & { readonly amount: number })[] {
  return cellsSummed(laid, rule, index)
    .filter(({ item, day }) => laid.on(item, day))
    .map((cell) => ({ ...cell, amount: rule.amount(laid, cell.item) }))
    .filter(({ amount: counted }) => counted > 0);
}

/** Sums are of minutes that may be fractions: beyond this it is more. */
const rounding = 1e-9;
export const isMore = (sum: number, most: number) => sum > most + rounding;
