import { createHash } from "node:crypto";
import type { PhoneItem } from "~/contract/phone";
import { addDays } from "~/core/schedule/local-day";
import { sayDate, t } from "~/messages/say";
import { saySet } from "~/messages/say-set";

/** An entry of a calendar, on a day as it is called where the patient is. */
export interface CalendarEntry {
  /** The same whenever the same day is told again, so that a calendar puts the new one in the place of the old one. */
  readonly uid: string;
  readonly date: string;
  /** When it begins on that day, as clocks show it there; null for the whole day. */
  readonly time: string | null;
  readonly minutes: number;
  readonly title: string;
  readonly text: string;
}

/** What a calendar is made of. */
export interface CalendarDays {
  readonly episodeId: string;
  readonly items: readonly Pick<PhoneItem, "itemId" | "name" | "prescription">[];
  /** How long each exercise takes, by its id. */
  readonly minutes: ReadonlyMap<string, number>;
  readonly days: readonly { readonly date: string; readonly items: readonly string[] }[];
  /** When the patient wants to begin; null when they choose anew every day. */
  readonly time: string | null;
  /** Where the patient's phone finds the exercises. */
  readonly address: string;
}

const morningAt = "08:00";
const morningMinutes = 5;

/**
 * Entries of a calendar: one for every day with work, and one on the morning after it that asks how it is. Titles say neither a name
 * nor what somebody has: calendars are seen by others.
 */
export function calendarEntries(of: CalendarDays): CalendarEntry[] {
  const { episodeId, items, minutes, time, address } = of;
  return of.days.flatMap(({ date, items: ids }) => {
    const todays = ids.flatMap((id) => items.find(({ itemId }) => itemId === id) ?? []);
    if (todays.length === 0) return [];
    const long = Math.ceil(todays.reduce((sum, { itemId }) => sum + (minutes.get(itemId) ?? 0), 0));
    const lines = todays.map(({ name, prescription }, n) =>
      t("calendar.line", {
        number: n + 1,
        name,
        sets: prescription.dose.sets,
        work: saySet(prescription),
      }),
    );
    return [
      {
        uid: uidOf(episodeId, date, "work"),
        date,
        time,
        minutes: Math.max(1, long),
        title: t("calendar.title", { minutes: Math.max(1, long) }),
        text: [...lines, t("calendar.run", { address })].join("\n"),
      },
      {
        uid: uidOf(episodeId, date, "morning"),
        date: addDays(date, 1),
        time: morningAt,
        minutes: morningMinutes,
        title: t("calendar.morning"),
        text: t("calendar.morningSays", { date: sayDate(date), address }),
      },
    ];
  });
}

/** Tells nobody whose day it is, and is the same for the same day. */
const uidOf = (episodeId: string, date: string, kind: string): string =>
  `${createHash("sha256").update(`${episodeId} ${date} ${kind}`).digest("hex").slice(0, 32)}@patient-stair`;
