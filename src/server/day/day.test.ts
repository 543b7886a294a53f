import { describe, expect, it } from "vitest";
import { calendarDay } from "./calendar-day";
import { namedIn } from "./named-in";

const file = (...events: string[]) =>
  ["BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:-//x//y//EN", ...events, "END:VCALENDAR"].join("\r\n");
const event = (...lines: string[]) => ["BEGIN:VEVENT", "UID:1", ...lines, "END:VEVENT"].join("\r\n");
const day = "2026-03-10";
const zone = "Europe/Vienna";
const on = (...events: string[]) =>
  calendarDay(file(...events), day, zone).entries.map(({ title, time }) => `${time} ${title}`);

describe("today's entries of a calendar file", () => {
  it("in UTC, in a named zone, in none, and for the whole day: as the clinic's clocks show it, in order", () => {
    expect(
      on(
        event("DTSTART:20260310T133000Z", "SUMMARY:utc"),
        event("DTSTART;TZID=America/New_York:20260310T033000", "SUMMARY:there"),
        event("DTSTART:20260310T090000", "SUMMARY:wall"),
        event("DTSTART;VALUE=DATE:20260310", "SUMMARY:day"),
      ),
    ).toEqual(["null day", "08:30 there", "09:00 wall", "14:30 utc"]);
  });

  it("by a zone that the file describes itself", () => {
    const own = [
      "BEGIN:VTIMEZONE",
      "TZID:Practice Time",
      "BEGIN:STANDARD",
      "DTSTART:19700101T000000",
      "TZOFFSETFROM:+0300",
      "TZOFFSETTO:+0300",
      "END:STANDARD",
      "END:VTIMEZONE",
    ].join("\r\n");
    expect(on(own, event("DTSTART;TZID=Practice Time:20260310T113000", "SUMMARY:own"))).toEqual([
      "09:30 own",
    ]);
  });

  it("an evening elsewhere may be the next day here, and does not count", () => {
    expect(on(event("DTSTART;TZID=America/New_York:20260310T200000", "SUMMARY:late"))).toEqual([]);
    expect(on(event("DTSTART;TZID=America/New_York:20260309T200000", "SUMMARY:late"))).toEqual([
      "01:00 late",
    ]);
  });

  it("the one of a series that falls on the day; not where it was left out, moved away or cancelled", () => {
    const weekly = (...more: string[]) =>
      event("DTSTART:20260106T090000", "RRULE:FREQ=WEEKLY;BYDAY=TU", "SUMMARY:weekly", ...more);
    expect(on(weekly())).toEqual(["09:00 weekly"]);
    expect(on(weekly("EXDATE:20260310T090000"))).toEqual([]);
    expect(
      on(weekly(), event("RECURRENCE-ID:20260310T090000", "DTSTART:20260310T110000", "SUMMARY:moved")),
    ).toEqual(["11:00 moved"]);
    expect(on(event("DTSTART:20260310T090000", "SUMMARY:off", "STATUS:CANCELLED"))).toEqual([]);
  });

  it("a series without end or sense is read so far and no further", () => {
    const every = event("DTSTART:20000101T000000", "RRULE:FREQ=SECONDLY", "SUMMARY:flood");
    const { entries, cut } = calendarDay(file(...Array.from({ length: 30 }, () => every)), day, zone);
    expect(entries).toEqual([]);
    expect(cut).toBe(true);
  });

  it.each(["", "hello", "BEGIN:VCARD\r\nEND:VCARD", "BEGIN:VCALENDAR", '{"a":1}', "\u0000\u0001"])(
    "%j is no calendar",
    (text) => {
      expect(() => calendarDay(text, day, zone)).toThrow();
    },
  );
});

describe("whom an entry names", () => {
  const zoe = { givenName: "Zoë", familyName: "Okafor", birthYear: 1985 };
  it.each([
    ["Zoë Okafor", true],
    ["OKAFOR, zoe – follow-up", true],
    ["Okafor Z.", true],
    ["Okafor Zoe 1985", true],
    ["Okafor Zoe 1958", false],
    ["Okafor", false],
    ["Okafor Max", false],
    ["Okafortune Zoe", false],
    ["Zoe", false],
    ["", false],
  ])("%s", (title, is) => {
    expect(namedIn(title, zoe)).toBe(is);
  });

  it("every part of a double name", () => {
    const person = { givenName: "Ana", familyName: "de la Cruz", birthYear: 1990 };
    expect(namedIn("Ana de la Cruz", person)).toBe(true);
    expect(namedIn("Ana Cruz", person)).toBe(false);
  });
});
