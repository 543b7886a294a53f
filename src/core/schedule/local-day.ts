const dayMs = 86_400_000;
const zero = "0".charCodeAt(0);
/** A calendar of each zone, as costly to make as a compiled expression; what it told is not kept. */
const calendars = new Map<string, Intl.DateTimeFormat>();

/**
 * The local calendar date of an instant in an IANA time zone.
 *
 * @returns YYYY-MM-DD
 * @throws RangeError for an unknown zone or an unreadable instant
 * @example localDay("2026-03-28T23:30:00Z", "Europe/Vienna") // "2026-03-29"
 */
export function localDay(instant: string, zone: string): string {
  return calendarOf(zone).format(new Date(instant));
}

/**
 * Whole days from one local date to another; negative when `to` lies before `from`.
 *
 * @example daysBetween("2024-02-28", "2024-03-01") // 2
 */
export function daysBetween(from: string, to: string): number {
  return (midnight(to) - midnight(from)) / dayMs;
}

/** Days, with a fraction, between two instants. */
export function elapsedDays(from: string, to: string): number {
  return (Date.parse(to) - Date.parse(from)) / dayMs;
}

/** A local date moved by whole days. */
export function addDays(date: string, days: number): string {
  return new Date(midnight(date) + days * dayMs).toISOString().slice(0, 10);
}

/** When a calendar date begins in UTC; by its figures, since reading them as text takes three times as long. */
const midnight = (date: string): number =>
  Date.UTC(twoFigures(date, 0) * 100 + twoFigures(date, 2), twoFigures(date, 5) - 1, twoFigures(date, 8));

const twoFigures = (text: string, at: number): number =>
  (text.charCodeAt(at) - zero) * 10 + text.charCodeAt(at + 1) - zero;

function calendarOf(zone: string): Intl.DateTimeFormat {
  const known = calendars.get(zone);
  if (known) return known;
  const parts = { year: "numeric", month: "2-digit", day: "2-digit" } as const;
  const calendar = new Intl.DateTimeFormat("en-CA", { timeZone: zone, ...parts });
  calendars.set(zone, calendar);
  return calendar;
}
