const dayMs = 86_400_000;
/** A calendar of each zone, as costly to make as a compiled expression. */
const calendars = new Map<string, Intl.DateTimeFormat>();
/** A record asks for the same few days over and over; what was told is kept, up to a bound. */
const keptAtMost = 4_000;
const numbers = new Map<string, number>();
const dates = new Map<number, string>();
const days = new Map<string, string>();

function kept<K, V>(known: Map<K, V>, key: K, find: () => V): V {
  const before = known.get(key);
  if (before !== undefined) return before;
  const found = find();
  if (known.size >= keptAtMost) known.clear();
  known.set(key, found);
  return found;
}

/**
 * The local calendar date of an instant in an IANA time zone.
 *
 * @returns YYYY-MM-DD
 * @throws RangeError for an unknown zone or an unreadable instant
 * @example localDay("2026-03-28T23:30:00Z", "Europe/Vienna") // "2026-03-29"
 */
export function localDay(instant: string, zone: string): string {
  return kept(days, `${instant} ${zone}`, () => calendarOf(zone).format(new Date(instant)));
}

/**
 * Whole days from one local date to another; negative when `to` lies before `from`.
 *
 * @example daysBetween("2024-02-28", "2024-03-01") // 2
 */
export function daysBetween(from: string, to: string): number {
  return dayNumber(to) - dayNumber(from);
}

/** Days, with a fraction, between two instants. */
export function elapsedDays(from: string, to: string): number {
  return (Date.parse(to) - Date.parse(from)) / dayMs;
}

/** A local date moved by whole days. */
export function addDays(date: string, count: number): string {
  const number = dayNumber(date) + count;
  return kept(dates, number, () => new Date(number * dayMs).toISOString().slice(0, 10));
}

/** Days since the first of 1970. */
const dayNumber = (date: string): number =>
  kept(numbers, date, () => Math.round(Date.parse(`${date}T00:00:00Z`) / dayMs));

function calendarOf(zone: string): Intl.DateTimeFormat {
  const known = calendars.get(zone);
  if (known) return known;
  const parts = { year: "numeric", month: "2-digit", day: "2-digit" } as const;
  const calendar = new Intl.DateTimeFormat("en-CA", { timeZone: zone, ...parts });
  calendars.set(zone, calendar);
  return calendar;
}
