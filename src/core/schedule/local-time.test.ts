import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { instantOfLocal, isZone, localMinute } from "./local-time";

/** Days on which clocks changed: tz database, releases up to 2026a. */
describe("a local minute and its instant", () => {
  it.each([
    ["Europe/Vienna", "2026-03-29T01:59", "2026-03-29T00:59:00.000Z"],
    ["Europe/Vienna", "2026-03-29T03:00", "2026-03-29T01:00:00.000Z"],
    ["Europe/Vienna", "2026-03-29T02:30", "2026-03-29T01:30:00.000Z"],
    ["Europe/Vienna", "2026-10-25T02:30", "2026-10-25T00:30:00.000Z"],
    ["Asia/Kolkata", "2026-06-01T12:00", "2026-06-01T06:30:00.000Z"],
    ["America/St_Johns", "2026-01-15T12:00", "2026-01-15T15:30:00.000Z"],
    ["Pacific/Kiritimati", "2026-01-15T12:00", "2026-01-14T22:00:00.000Z"],
    ["UTC", "2026-01-15T12:00", "2026-01-15T12:00:00.000Z"],
  ])("%s, %s is %s", (zone, local, instant) => expect(instantOfLocal(local, zone)).toBe(instant));

  it("go to and fro, whatever the zone", () => {
    const zones = fc.constantFrom(
      "Europe/Vienna",
      "America/New_York",
      "Australia/Lord_Howe",
      "Asia/Kathmandu",
      "UTC",
    );
    const minutes = fc.integer({ min: 29_000_000, max: 30_500_000 });
    fc.assert(
      fc.property(zones, minutes, (zone, minute) => {
        const local = localMinute(new Date(minute * 60_000).toISOString(), zone);
        expect(localMinute(instantOfLocal(local, zone), zone)).toBe(local);
      }),
    );
  });

  it("nonsense is refused", () => {
    expect(() => instantOfLocal("2026-07-01", "UTC")).toThrow(RangeError);
    expect(() => localMinute("2026-07-01T00:00:00Z", "Europe/Nowhere")).toThrow(RangeError);
    expect([isZone("Europe/Vienna"), isZone("Europe/Nowhere"), isZone("")]).toEqual([true, false, false]);
  });
});

it("what only looks like a time zone, or like an offset, is none: calendars could not be made for it", () => {
  for (const zone of ["Europe/Vienna", "UTC", "America/Indiana/Knox"]) expect(isZone(zone), zone).toBe(true);
  for (const zone of ["2026-02-30", "2026-12-31T23:59:60Z", "+01:00", "", "x", "Europe/", " UTC"])
    expect(isZone(zone), zone).toBe(false);
});
