import type { PhoneView } from "~/contract/phone";
import { addDays } from "~/core/schedule/local-day";
import { phoneNow } from "./phone-now";
import type { Waiting } from "./phone-store";

/** What the browser wakes the phone's worker for; shared with whoever asks it to. */
export const reminderTag = "stair-morning";

/** Hours of the morning, where the phone is, in which somebody is reminded. */
const fromHour = 6;
const untilHour = 12;

/**
 * The training day whose morning after is to be asked for now; null where it was told, where it was asked for already, or at an
 * hour at which nobody wants to be asked.
 *
 * @param hour of the day where the phone is
 * @param remindedOf the day that was asked for last
 */
export function morningToAskFor(
  view: PhoneView,
  waiting: readonly Waiting[],
  now: string,
  { hour, remindedOf }: { readonly hour: number; readonly remindedOf: string | undefined },
): string | null {
  if (hour < fromHour || hour >= untilHour) return null;
  const { morningOf, today } = phoneNow(view, waiting, now);
  // The day before yesterday is asked for no more: it may still be told.
  return morningOf !== null && morningOf >= addDays(today, -1) && morningOf !== remindedOf ? morningOf : null;
}
