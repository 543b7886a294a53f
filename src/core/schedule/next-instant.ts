/**
 * The instant of a write: what the clock says, or the millisecond after the write before it where the clock has not got beyond
 * that. Writes that come one after the other bear instants in that order, whichever process with whatever clock made them.
 *
 * @param clock ISO instant
 * @param last ISO instant of the write before
 * @returns ISO instant
 * @example nextInstant("2026-03-10T09:00:00.000Z", "2026-03-10T08:00:00.000Z") // "2026-03-10T09:00:00.000Z"
 * @example nextInstant("2026-03-10T09:00:00.000Z", "2026-03-10T09:03:00.000Z") // "2026-03-10T09:03:00.001Z"
 * Source: hybrid logical clocks (Kulkarni et al. 2014, recalled), with the physical part alone.
 */
export function nextInstant(clock: string, last: string): string {
  return new Date(Math.max(Date.parse(clock), Date.parse(last) + 1)).toISOString();
}

/**
 * The later of two instants.
 *
 * @example laterOf("2026-03-10T09:00:00Z", "2026-03-10T10:00:00+02:00") // "2026-03-10T09:00:00Z"
 */
export const laterOf = (one: string, other: string): string =>
  Date.parse(other) > Date.parse(one) ? other : one;
