import { daysBetween } from "~/core/schedule/local-day";
import { weekdayOf } from "~/core/schedule/weekday";
import type { Placed, WeekDay, WeekItem, WeekQuestion } from "./week";
import { usualContactCap } from "./week";

/** A place in the week: an item, by its index, on a day, by its index. */
export interface Cell {
  readonly item: number;
  readonly day: number;
}

/** A week with work laid into it, ready to be judged. */
export interface LaidWeek {
  readonly days: readonly WeekDay[];
  readonly items: readonly WeekItem[];
  readonly question: WeekQuestion;
  /** Whether an item stands on a day, done work included. */
  readonly on: (item: number, day: number) => boolean;
  readonly isDone: (item: number, day: number) => boolean;
  /** Items of a day, as they stand in the list of items. */
  readonly itemsOn: (day: number) => readonly number[];
  readonly daysOf: (item: number) => readonly number[];
  readonly contactCap: number;
}

const key = (item: string, date: string) => JSON.stringify([item, date]);

/** @param placed pairs; what is done stands whether it is among them or not */
export function laidWeek(question: WeekQuestion, placed: readonly Placed[]): LaidWeek {
  const { days, items } = question;
  const done = new Set((question.done ?? []).map(({ item, date }) => key(item, date)));
  const laid = new Set([...done, ...placed.map(({ item, date }) => key(item, date))]);
  const cell = (set: ReadonlySet<string>) => {
    const grid = items.map(({ id }) => days.map(({ date }) => set.has(key(id, date))));
    return (item: number, day: number) => grid[item]?.[day] ?? false;
  };
  const [on, isDone] = [cell(laid), cell(done)];
  return {
    days,
    items,
    question,
    on,
    isDone,
    itemsOn: (day) => [...items.keys()].filter((item) => on(item, day)),
    daysOf: (item) => [...days.keys()].filter((day) => on(item, day)),
    contactCap: question.contactCap ?? usualContactCap,
  };
}

/** Whether some place of the day has an item's kit, and is the place that it names. */
export const fitsPlace = (item: WeekItem, day: WeekDay): boolean =>
  day.places.some(
    ({ place, kit }) =>
      (item.place === undefined || item.place === place) && item.kit.every((piece) => kit.includes(piece)),
  );

/** Whether a day, or the one after it, is among some dates of another week or marked in this one. */
export function thatOrNext(
  { days }: Pick<LaidWeek, "days">,
  day: number,
  isMarked: (day: WeekDay) => boolean,
  heldOver: readonly string[],
): boolean {
  const [today, tomorrow] = [days[day], days[day + 1]];
  if (!today) return false;
  if (isMarked(today) || (tomorrow && isMarked(tomorrow))) return true;
  return heldOver.some((date) => [0, 1].includes(daysBetween(today.date, date)));
}

export const weekdayOn = ({ days }: Pick<LaidWeek, "days">, day: number): number =>
  weekdayOf(days[day]?.date ?? "");
