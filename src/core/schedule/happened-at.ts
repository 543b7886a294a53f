export interface SaidByDevice {
  /** When it happened, by the device's clock. */
  readonly occurredAt: string;
  /** When it was sent, by the same clock. */
  readonly sentAt: string;
  /** When it arrived, by the server's. */
  readonly receivedAt: string;
}

/**
 * When something happened that a device tells of whose clock may be wrong: as long before it arrived as, by the device's own
 * clock, it lay before it was sent. How far a clock is off does not matter; what it calls later than its sending happened at
 * its arrival.
 *
 * Gotcha: a clock that was set between the event and its sending misleads by as much as it was set.
 *
 * @returns an instant, never later than the arrival and never before 1970
 * @example happenedAt({ occurredAt: "2031-01-01T08:00:00.000Z", sentAt: "2031-01-01T08:30:00.000Z", receivedAt: "2026-03-10T18:30:00.000Z" }) // "2026-03-10T18:00:00.000Z"
 * Source: arithmetic; the way from the device to the server counts as no time.
 */
export function happenedAt({ occurredAt, sentAt, receivedAt }: SaidByDevice): string {
  const ago = Math.max(0, Date.parse(sentAt) - Date.parse(occurredAt));
  return new Date(Math.max(0, Date.parse(receivedAt) - ago)).toISOString();
}
