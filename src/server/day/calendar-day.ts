import { isZone } from "~/core/schedule/local-time";
import { TZDate } from "@date-fns/tz";
import ICAL from "ical.js";
import { localDay } from "~/core/schedule/local-day";

/** An entry of a calendar on the day that was asked for. */
export interface DayEntry {
  readonly title: string;
  /** When it begins, as clocks show it in the clinic; null for the whole day. */
  readonly time: string | null;
}

/** More than a practice has; a file beyond it is read so far and no further. */
const mostEvents = 20_000;
const mostTurns = 20_000;
const mostTurnsOfOne = 6_000;
const titleLength = 200;

/**
 * What a calendar file holds for one day of a clinic: single entries, and the one of a series that falls on it. What was cancelled is
 * left out. Times are told as the clinic's clocks show them; those without a zone are taken to be the clinic's.
 *
 * @throws Error for a text that is no calendar
 */
export function calendarDay(text: string, date: string, zone: string): { entries: DayEntry[]; cut: boolean } {
  const calendar = new ICAL.Component(ICAL.parse(text.trim()) as unknown[]);
  if (calendar.name !== "vcalendar") throw new Error("no calendar");
  const all = calendar.getAllSubcomponents("vevent");
  const moved = movedOccurrences(all);
  const budget = { turns: mostTurns };
  const entries = all.slice(0, mostEvents).flatMap((component) => {
    if (component.getFirstPropertyValue("status") === "CANCELLED") return [];
    const title = String(component.getFirstPropertyValue("summary") ?? "").slice(0, titleLength);
    const starts = startsOn(component, moved, { date, zone }, budget);
    return starts.map((time) => ({ title, time }));
  });
  entries.sort((a, b) => (a.time ?? "").localeCompare(b.time ?? ""));
  return { entries, cut: all.length > mostEvents || budget.turns <= 0 };
}

type Day = { readonly date: string; readonly zone: string };

/** Occurrences of series that an entry of their own takes the place of. */
function movedOccurrences(all: readonly ICAL.Component[]): Set<string> {
  return new Set(
    all.flatMap((component) => {
      const of = component.getFirstPropertyValue("recurrence-id");
      return of instanceof ICAL.Time
        ? [`${String(component.getFirstPropertyValue("uid"))} ${of.toString()}`]
        : [];
    }),
  );
}

/** When an entry begins on the day: not at all, once, or several times. */
function startsOn(
  component: ICAL.Component,
  moved: ReadonlySet<string>,
  day: Day,
  budget: { turns: number },
): (string | null)[] {
  const start = component.getFirstPropertyValue("dtstart");
  if (!(start instanceof ICAL.Time)) return [];
  const tzid = component.getFirstProperty("dtstart")?.getFirstParameter("tzid");
  const isSeries = component.hasProperty("rrule") || component.hasProperty("rdate");
  if (!isSeries || component.hasProperty("recurrence-id")) {
    const at = clinicTime(start, tzid, day.zone);
    return at.date === day.date ? [at.time] : [];
  }
  const uid = String(component.getFirstPropertyValue("uid"));
  const series = new ICAL.RecurExpansion({ component, dtstart: start });
  const found: (string | null)[] = [];
  for (let turn = 0; turn < mostTurnsOfOne && budget.turns > 0; turn += 1) {
    budget.turns -= 1;
    const next = series.next() as ICAL.Time | null;
    if (!next) break;
    const at = clinicTime(next, tzid, day.zone);
    if (at.date > day.date) break;
    if (at.date === day.date && !moved.has(`${uid} ${next.toString()}`)) found.push(at.time);
  }
  return found;
}

/** The clinic's date and time of a moment in a calendar. */
function clinicTime(
  moment: ICAL.Time,
  tzid: string | undefined,
  zone: string,
): { date: string; time: string | null } {
  const { year, month, day, hour, minute } = moment;
  const two = (n: number) => String(n).padStart(2, "0");
  const written = { date: `${year}-${two(month)}-${two(day)}`, time: `${two(hour)}:${two(minute)}` };
  if (moment.isDate) return { date: written.date, time: null };
  const instant = instantOf(moment, tzid);
  if (instant === null) return written;
  const local = new TZDate(instant, zone);
  return {
    date: localDay(instant.toISOString(), zone),
    time: `${two(local.getHours())}:${two(local.getMinutes())}`,
  };
}

/** The moment in time; null where the calendar tells no zone: the clock on the wall. */
function instantOf(moment: ICAL.Time, tzid: string | undefined): Date | null {
  const { year, month, day, hour, minute } = moment;
  if (moment.zone?.tzid === "UTC") return new Date(Date.UTC(year, month - 1, day, hour, minute));
  if (tzid !== undefined && isZone(tzid))
    return new Date(new TZDate(year, month - 1, day, hour, minute, tzid).getTime());
  // A zone that the file describes itself.
  return moment.zone?.tzid === "floating" ? null : new Date(moment.toUnixTime() * 1000);
}
