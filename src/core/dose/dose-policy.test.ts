import { expect, it } from "vitest";
import { dosePolicy } from "./dose-policy";
import { doseStyle } from "./dose-style";
import { heavySlowCalendar, heavySlowDays } from "./heavy-slow-calendar";

/** Caps and settling days (common practice), pinned one by one: whoever changes one changes it here as well, on purpose. */
it.each([
  ["double-progression", 8, 3, 0, true],
  ["effort-band", null, 2, 0, true],
  ["hold", 8, 2, 0, true],
  ["scheduled", 10, 0, 0, true],
  ["form-failure", null, 3, 0, true],
  ["contacts", 7, 7, 0, true],
  ["running", null, 3, 2, true],
  ["fixed", null, 0, 0, false],
] as const)("%s", (name, effortCap, settlingDays, settlingTrainingDays, steps) => {
  expect(dosePolicy(name)).toEqual({ name, effortCap, settlingDays, settlingTrainingDays, steps });
});

it("a name that nobody defined is refused", () => {
  expect(() => dosePolicy("sparkle" as never)).toThrow("unknown dose policy sparkle");
  expect(() => doseStyle("sparkle" as never)).toThrow("unknown dose style sparkle");
});

// Kongsgaard 2009, recalled: 15 RM in week 1, 12 RM in 2–3, 10 RM in 4–5, 8 RM in 6–8, 6 RM in 9–12.
it("the heavy-slow calendar goes week by week from the first day", () => {
  const { weeks } = heavySlowCalendar({ startOn: "2026-03-02" });
  expect(weeks.map(({ repetitionMaximum }) => repetitionMaximum)).toEqual([
    15, 12, 12, 10, 10, 8, 8, 8, 6, 6, 6, 6,
  ]);
  expect(weeks.map(({ week }) => week)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12]);
  expect([weeks[0]?.from, weeks[1]?.from, weeks[11]?.from]).toEqual([
    "2026-03-02",
    "2026-03-09",
    "2026-05-18",
  ]);
});
it.each([
  [15, 7],
  [12, 14],
  [10, 14],
  [8, 21],
  [6, 28],
  [9, 0],
])("%i RM stays for %i days", (repetitionMaximum, days) => {
  expect(heavySlowDays(repetitionMaximum)).toBe(days);
});
