import { addDays, localDay } from "~/core/schedule/local-day";
import type { SignedChange } from "~/core/decision/record/decide-input";

const usualLimit = 4;
const carefulLimit = 2;
const days = 7;

export interface ChangeBudget {
  /** Items that got harder within the last seven local days, today included. */
  readonly used: number;
  /** The most that is usual in a week. */
  readonly limit: number;
}

/** Whether an item got harder within the last seven local days, today included. */
export function harderThisWeek(
  changes: readonly SignedChange[],
  { today, zone }: { readonly today: string; readonly zone: string },
): boolean {
  const from = addDays(today, 1 - days);
  return changes.some(({ direction, at }) => {
    const day = localDay(at, zone);
    return direction === "harder" && day >= from && day <= today;
  });
}

/**
 * How much of a week's harder steps a plan has used: an item counts once however often it went up. Two a week when the
 * site is irritable or in the first stage, else four (common practice: few changes at a time show which one the body
 * answered).
 *
 * @param changes signed changes, item by item
 * @param today local date (YYYY-MM-DD)
 * @param zone time zone of the clinic (IANA)
 * @param careful irritable, or in the first stage
 */
export function changeBudget(
  changes: readonly (readonly SignedChange[])[],
  { today, zone, careful }: { today: string; zone: string; careful: boolean },
): ChangeBudget {
  return {
    used: changes.filter((ofItem) => harderThisWeek(ofItem, { today, zone })).length,
    limit: careful ? carefulLimit : usualLimit,
  };
}
