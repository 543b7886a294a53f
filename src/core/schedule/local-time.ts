import { tzOffset } from "@date-fns/tz";

const minuteMs = 60_000;
const minuteShape = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/;

/**
 * The local clock of an instant in an IANA time zone, to the minute, as a field for date and time wants it.
 *
 * @throws RangeError for an unknown zone or an unreadable instant
 * @example localMinute("2026-03-28T23:30:00Z", "Europe/Vienna") // "2026-03-29T00:30"
 */
export function localMinute(instant: string, zone: string): string {
  const utc = new Date(instant);
  return new Date(utc.getTime() + offsetMs(zone, utc)).toISOString().slice(0, 16);
}

/**
 * The instant at which the clocks of a zone show a local minute. Of two such instants, on the night when clocks go back, the
 * earlier; of a minute that clocks leap over, the instant it would have been without the leap.
 *
 * @param local YYYY-MM-DDTHH:MM
 * @throws RangeError for an unknown zone or an unreadable minute
 * @example instantOfLocal("2026-03-29T00:30", "Europe/Vienna") // "2026-03-28T23:30:00.000Z"
 */
export function instantOfLocal(local: string, zone: string): string {
  if (!minuteShape.test(local)) throw new RangeError(`not a local minute: ${local}`);
  const asUtc = Date.parse(`${local}:00.000Z`);
  const before = offsetMs(zone, new Date(asUtc - 24 * 60 * minuteMs));
  const after = offsetMs(zone, new Date(asUtc + 24 * 60 * minuteMs));
  const fits = [before, after]
    .map((offset) => asUtc - offset)
    .find((instant) => instant + offsetMs(zone, new Date(instant)) === asUtc);
  return new Date(fits ?? asUtc - before).toISOString();
}

/**
 * Whether this names a time zone of the IANA list: what calendars are made for, and not what merely looks like an offset.
 *
 * @example isZone("2026-02-30") // false
 */
export function isZone(zone: string): boolean {
  try {
    return /^[A-Za-z]/.test(new Intl.DateTimeFormat("en", { timeZone: zone }).resolvedOptions().timeZone);
  } catch {
    return false;
  }
}

function offsetMs(zone: string, at: Date): number {
  const minutes = tzOffset(zone, at);
  if (!Number.isFinite(minutes)) throw new RangeError(`no clock for ${zone} at ${String(at)}`);
  return minutes * minuteMs;
}
