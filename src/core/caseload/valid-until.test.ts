import { expect, it } from "vitest";
import type { CaseFile } from "~/core/case/case-file";
import { validUntil } from "./valid-until";

/** A case in which nothing was ever done: only the local date can change what is said of it. */
const empty = (asOf: string, zone: string) =>
  ({ asOf, zone, sessions: [], items: [], decisions: [] }) as unknown as CaseFile;

// Offsets and changes of the hour as the IANA time zone database has them; in Santiago they are at midnight.
it.each([
  ["2026-03-27T09:00:00.000Z", "Europe/Vienna", "2026-03-27T23:00:00.000Z"],
  ["2026-03-29T09:00:30.500Z", "Europe/Vienna", "2026-03-29T22:00:00.000Z"],
  ["2026-10-25T00:00:00.001Z", "Europe/Vienna", "2026-10-25T23:00:00.000Z"],
  ["2026-10-25T22:59:59.999Z", "Europe/Vienna", "2026-10-25T23:00:00.000Z"],
  ["2026-10-25T23:00:00.000Z", "Europe/Vienna", "2026-10-26T23:00:00.000Z"],
  ["2026-06-01T12:00:00.000Z", "Asia/Kathmandu", "2026-06-01T18:15:00.000Z"],
  ["2026-04-04T12:00:00.000Z", "America/Santiago", "2026-04-05T04:00:00.000Z"],
  ["2026-09-05T12:00:00.000Z", "America/Santiago", "2026-09-06T04:00:00.000Z"],
])("after %s in %s the date changes at %s", (asOf, zone, at) => {
  expect(validUntil(empty(asOf, zone))).toBe(at);
});
