import ICAL from "ical.js";
import { describe, expect, it } from "vitest";
import type { Dose } from "~/core/dose/dose";
import { strength } from "~tests/builders/decide-input";
import { calendarEntries, type CalendarDays } from "./calendar-entries";
import { writeCalendar } from "./write-calendar";

const dose: Dose = { ...strength, sets: 3, reps: { bottom: 8, top: 12 } };
const item = (itemId: string, name: string) => ({
  itemId,
  name,
  prescription: { variantId: "any", settings: {}, dose },
});
const days: CalendarDays = {
  episodeId: "0198a0a0-0000-7000-8000-000000000001",
  items: [item("a", "Squat; to a box, slowly"), item("b", "Calf raise")],
  minutes: new Map([
    ["a", 6.2],
    ["b", 4],
  ]),
  days: [
    { date: "2026-03-28", items: ["b", "a"] },
    { date: "2026-03-29", items: [] },
    { date: "2026-03-30", items: ["a", "gone"] },
  ],
  time: "17:30",
  address: "https://clinic.example/my",
};
const edition = { number: 7, at: "2026-03-27T09:00:00.000Z" };
const read = (text: string) =>
  new ICAL.Component(ICAL.parse(text)).getAllSubcomponents("vevent").map((one) => new ICAL.Event(one));

describe("entries of a calendar", () => {
  it("one for every day with work and one on the morning after it; nothing on a day without", () => {
    expect(
      calendarEntries(days).map(({ date, time, minutes, title }) => [date, time, minutes, title]),
    ).toEqual([
      ["2026-03-28", "17:30", 11, "Exercises, about 11 minutes"],
      ["2026-03-29", "08:00", 5, "How is it today? Three taps"],
      ["2026-03-30", "17:30", 7, "Exercises, about 7 minutes"],
      ["2026-03-31", "08:00", 5, "How is it today? Three taps"],
    ]);
  });

  it("say what is done in its order, and where it is led through", () => {
    expect(calendarEntries(days)[0]?.text).toBe(
      "1. Calf raise: 3 sets, 12 times\n2. Squat; to a box, slowly: 3 sets, 12 times\nLed through on your phone: https://clinic.example/my",
    );
  });

  it("keep their ids when the week is told again, and share none with another person or day", () => {
    const ids = (of: CalendarDays) => calendarEntries(of).map(({ uid }) => uid);
    expect(ids({ ...days, time: null, minutes: new Map() })).toEqual(ids(days));
    expect(new Set([...ids(days), ...ids({ ...days, episodeId: "another" })]).size).toBe(8);
    expect(ids(days).join()).not.toContain(days.episodeId);
  });
});

/** Read back by another library, against RFC 5545. */
describe("the calendar file", () => {
  it("tells local times without a zone, so that a morning is a morning wherever one wakes up (RFC 5545, 3.3.5 form 1)", () => {
    const text = writeCalendar(calendarEntries(days), edition);
    expect(text).toContain("DTSTART:20260328T173000\r\n");
    expect(text).toContain("DTSTART:20260329T080000\r\n");
    const [work] = read(text);
    expect(work?.startDate.zone?.tzid).toBe("floating");
    expect(work?.duration.toSeconds()).toBe(11 * 60);
  });

  it("without a time of the day the work takes the whole day, and ends the day after (3.6.1)", () => {
    const [work] = read(writeCalendar(calendarEntries({ ...days, time: null }), edition));
    expect(work?.startDate.isDate).toBe(true);
    expect(work?.startDate.toString()).toBe("2026-03-28");
    expect(work?.endDate.toString()).toBe("2026-03-29");
  });

  it("the words survive the way there and back, whatever signs are in them (3.3.11)", () => {
    for (const { summary, description } of read(writeCalendar(calendarEntries(days), edition)))
      expect(calendarEntries(days).map(({ title, text }) => [title, text])).toContainEqual([
        summary,
        description,
      ]);
  });

  it("lines are folded at 75 octets and end in CRLF (3.1); a later edition has a higher number (3.8.7.4)", () => {
    const text = writeCalendar(calendarEntries(days), edition);
    for (const line of text.split("\r\n")) {
      expect(line).not.toContain("\n");
      expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
    }
    const [first] = new ICAL.Component(ICAL.parse(text)).getAllSubcomponents("vevent");
    for (const must of ["uid", "dtstamp", "dtstart", "summary"]) expect(first?.hasProperty(must)).toBe(true);
    expect(first?.getFirstPropertyValue("sequence")).toBe(7);
    expect(first?.getFirstPropertyValue("class")).toBe("PRIVATE");
  });

  it("what begins at a time reminds when it begins; a calendar without a day is still one", () => {
    const alarms = read(writeCalendar(calendarEntries(days), edition)).map(
      ({ component }) => component.getAllSubcomponents("valarm").length,
    );
    expect(alarms).toEqual([1, 1, 1, 1]);
    const whole = calendarEntries({ ...days, time: null });
    expect(read(writeCalendar(whole, edition))[0]?.component.getAllSubcomponents("valarm")).toEqual([]);
    expect(read(writeCalendar([], edition))).toEqual([]);
  });
});
