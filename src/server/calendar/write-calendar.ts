import { createEvents, type ActionType, type DateArray, type EventAttributes } from "ics";
import { addDays } from "~/core/schedule/local-day";
import { t } from "~/messages/say";
import type { CalendarEntry } from "./calendar-entries";

/** Which edition of the calendar this is: a later one takes the place of an earlier one. */
export interface Edition {
  readonly number: number;
  readonly at: string;
}

/**
 * A calendar file (RFC 5545). Times are local ones without a zone ('form 1' of its 3.3.5): eight in the morning is eight in the
 * morning wherever the patient wakes up. An entry with a time reminds when it begins.
 */
export function writeCalendar(entries: readonly CalendarEntry[], edition: Edition): string {
  const { error, value } = createEvents(
    entries.map((entry) => eventOf(entry, edition)),
    { calName: t("calendar.name"), productId: "-//Patient Stair//Exercise days//EN", method: "PUBLISH" },
  );
  if (error || value === null) throw error ?? new Error("no calendar was made");
  return value;
}

/** A reminder is a line on the screen. */
const shown: ActionType = "display";

function eventOf(entry: CalendarEntry, { number, at }: Edition): EventAttributes {
  const { uid, date, time, minutes, title, text } = entry;
  return {
    uid,
    title,
    description: text,
    sequence: number,
    // Busy for nobody: exercises move out of the way of what else is on.
    busyStatus: "FREE",
    classification: "PRIVATE",
    lastModified: Date.parse(at),
    startInputType: "local",
    startOutputType: "local",
    ...(time === null
      ? { start: dayOf(date), end: dayOf(addDays(date, 1)) }
      : {
          start: [...dayOf(date), ...clockOf(time)] as DateArray,
          duration: { minutes },
          alarms: [{ action: shown, description: title, trigger: { minutes: 0, before: true } }],
        }),
  };
}

const dayOf = (date: string) => date.split("-").map(Number) as [number, number, number];
const clockOf = (time: string) => time.split(":").map(Number) as [number, number];
