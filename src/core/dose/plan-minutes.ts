import type { DoseTime } from "./dose-minutes";

const betweenItemsSeconds = 30;

/**
 * Time for a whole list of items: their own times, and half a minute from one to the next (common practice).
 *
 * @returns sums in minutes, seconds and contacts; all zero for an empty list
 */
export function planMinutes(items: readonly DoseTime[]): DoseTime {
  const sum = (pick: (time: DoseTime) => number) => items.reduce((all, time) => all + pick(time), 0);
  const between = Math.max(0, items.length - 1) * betweenItemsSeconds;
  return {
    minutes: sum((time) => time.minutes) + between / 60,
    workSeconds: sum((time) => time.workSeconds),
    restSeconds: sum((time) => time.restSeconds) + between,
    contacts: sum((time) => time.contacts),
  };
}
