import { instantOfLocal } from "./local-time";

/**
 * Noon of a local date in an IANA time zone: the instant from which something that has a date and no hour is taken as known.
 *
 * @param date local date, YYYY-MM-DD
 * @returns ISO instant
 * @throws RangeError for an unknown zone or an unreadable date
 * @example localNoon("2026-07-01", "Europe/Vienna") // "2026-07-01T10:00:00.000Z"
 */
export const localNoon = (date: string, zone: string): string => instantOfLocal(`${date}T12:00`, zone);
