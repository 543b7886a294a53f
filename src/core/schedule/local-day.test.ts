import { describe, expect, it } from "vitest";
import { addDays, daysBetween, elapsedDays, localDay } from "./local-day";

describe("local days, by the calendar", () => {
  it.each([
    ["2026-03-28T23:30:00Z", "Europe/Vienna", "2026-03-29"],
    ["2026-03-28T23:30:00Z", "America/New_York", "2026-03-28"],
    ["2026-03-28T11:30:00Z", "Pacific/Auckland", "2026-03-29"],
    ["2026-10-25T00:30:00Z", "Europe/Vienna", "2026-10-25"],
  ])("%s in %s is %s", (instant, zone, date) => expect(localDay(instant, zone)).toBe(date));

  it("refuses an unknown zone and an unreadable instant", () => {
    expect(() => localDay("2026-03-28T23:30:00Z", "Europe/Nowhere")).toThrow(RangeError);
    expect(() => localDay("yesterday", "Europe/Vienna")).toThrow(RangeError);
  });
});

describe("days between dates", () => {
  it.each([
    ["a leap day", "2024-02-28", "2024-03-01", 2],
    ["no leap day", "2026-02-28", "2026-03-01", 1],
    ["across the change of clocks", "2026-03-28", "2026-03-30", 2],
    ["backward", "2026-03-05", "2026-03-01", -4],
    ["12 weeks", "2026-01-05", "2026-03-30", 84],
  ])("%s", (_what, from, to, days) => expect(daysBetween(from, to)).toBe(days));

  it("adds days over the end of a month and a leap day", () => {
    expect(addDays("2024-02-27", 3)).toBe("2024-03-01");
    expect(addDays("2026-01-01", -1)).toBe("2025-12-31");
  });
  it("elapsed days are fractions of 24 hours", () => {
    expect(elapsedDays("2026-03-28T12:00:00Z", "2026-03-30T00:00:00Z")).toBe(1.5);
  });
});
