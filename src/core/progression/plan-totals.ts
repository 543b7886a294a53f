import type { Spring } from "~/core/demand/demand";
import { planMinutes } from "~/core/dose/plan-minutes";
import type { DoseTime } from "~/core/dose/dose-minutes";

/** What of an item counts towards the plan as a whole. */
export interface CountedItem {
  readonly time: DoseTime;
  readonly spring: Spring;
  readonly daysPerWeek: number;
}

export const totalCodes = ["minutes", "items", "contacts-day", "contacts-week", "spring-days"] as const;

/** A sum of the plan that is more than it should be. */
export interface PlanTotal {
  readonly code: (typeof totalCodes)[number];
  readonly value: number;
  readonly most: number;
}

const mostItems = 10;
/** Ground contacts of a day by the hardest spring of the plan. */
const contactsADay: Readonly<Record<Spring, number>> = {
  none: 100,
  rebound: 100,
  "two-leg-landing": 100,
  "single-leg-landing": 120,
  cutting: 140,
};
const order: readonly Spring[] = ["none", "rebound", "two-leg-landing", "single-leg-landing", "cutting"];
const mostSpringDays = 3;

/** The most ground contacts a day that a plan may come to, by its hardest spring. */
export function mostContactsADay(items: readonly Pick<CountedItem, "spring">[]): number {
  const hardest = order[Math.max(0, ...items.map(({ spring }) => order.indexOf(spring)))] ?? "none";
  return contactsADay[hardest];
}

/** The same of a week, on as many days of springs as there are at most. */
export const mostContactsAWeek = (items: readonly Pick<CountedItem, "spring">[]): number =>
  mostContactsADay(items) * mostSpringDays;

/**
 * Which sums of a plan go beyond what is usual when everything is done on one day: minutes against the person's, more than ten
 * items, ground contacts of a day and of a week, days of springs a week.
 *
 * @param minutesPerDay of the person; null where nobody asked
 * @param pieces what takes time of its own, where a circuit is one; every exercise when left out
 * @returns the sums that are too much, in the order of `totalCodes`
 * @example planTotals([], 30) // []
 * Source: contacts 100, 120, 140 a session from Potach & Chu (NSCA Essentials), recalled, which level goes with which
 * landing common practice; three spring days a week, 48 to 72 h apart, and ten items: common practice.
 */
export function planTotals(
  items: readonly CountedItem[],
  minutesPerDay: number | null,
  pieces: readonly DoseTime[] = items.map(({ time }) => time),
): PlanTotal[] {
  const { minutes } = planMinutes(pieces);
  const springs = items.filter(({ spring, time }) => spring !== "none" && time.contacts > 0);
  const perDay = mostContactsADay(springs);
  const sum = (pick: (item: CountedItem) => number) => springs.reduce((all, item) => all + pick(item), 0);
  const found: PlanTotal[] = [
    { code: "minutes", value: Math.round(minutes), most: minutesPerDay ?? Infinity },
    { code: "items", value: items.length, most: mostItems },
    { code: "contacts-day", value: sum(({ time }) => time.contacts), most: perDay },
    {
      code: "contacts-week",
      value: sum(({ time, daysPerWeek }) => time.contacts * daysPerWeek),
      most: mostContactsAWeek(springs),
    },
    {
      code: "spring-days",
      value: Math.max(0, ...springs.map(({ daysPerWeek }) => daysPerWeek)),
      most: mostSpringDays,
    },
  ];
  return found.filter(({ value, most }) => value > most);
}
