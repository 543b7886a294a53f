import { DateTime } from "luxon";

/**
 * The local calendar date of an instant in an IANA time zone.
 *
 * @returns YYYY-MM-DD
 * @throws RangeError for an unknown zone or an unreadable instant
 * @example localDay("2026-03-28T23:30:00Z", "Europe/Vienna") // "2026-03-29"
 */
export function localDay(instant: string, zone: string): string {
  const local = DateTime.fromISO(instant, { zone });
  const date = local.toISODate();
  if (!local.isValid || date === null) throw new RangeError(`no local day for ${instant} in ${zone}`);
  return date;
}

/**
 * Whole days from one local date to another; negative when `to` lies before `from`.
 *
 * @example daysBetween("2024-02-28", "2024-03-01") // 2, the year has a leap day
 */
export function daysBetween(from: string, to: string): number {
  const utc = (date: string) => DateTime.fromISO(date, { zone: "utc" });
  return Math.round(utc(to).diff(utc(from), "days").days);
}

/** Days, with a fraction, between two instants. */
export function elapsedDays(from: string, to: string): number {
  return (Date.parse(to) - Date.parse(from)) / 86_400_000;
}

/** A local date moved by whole days. */
export function addDays(date: string, days: number): string {
  return DateTime.fromISO(date, { zone: "utc" }).plus({ days }).toISODate() as string;
}
