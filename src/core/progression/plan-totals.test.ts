import { describe, expect, it } from "vitest";
import { planTotals, type CountedItem } from "./plan-totals";

describe("sums of a plan", () => {
  const item = (
    over: Partial<Omit<CountedItem, "time">> & { minutes?: number; contacts?: number },
  ): CountedItem => ({
    time: { minutes: over.minutes ?? 2, workSeconds: 0, restSeconds: 0, contacts: over.contacts ?? 0 },
    spring: over.spring ?? "none",
    daysPerWeek: over.daysPerWeek ?? 3,
  });
  const codes = (items: CountedItem[], minutes: number | null = null) =>
    planTotals(items, minutes).map(({ code }) => code);

  it("ten exercises are fine, eleven are not", () => {
    expect(codes(Array.from({ length: 10 }, () => item({})))).toEqual([]);
    expect(
      planTotals(
        Array.from({ length: 11 }, () => item({})),
        null,
      ),
    ).toEqual([{ code: "items", value: 11, most: 10 }]);
  });
  it("minutes against the person's, with half a minute from one to the next; nobody asked, none said", () => {
    expect(codes([item({ minutes: 15 }), item({ minutes: 14.5 })], 30)).toEqual([]);
    expect(planTotals([item({ minutes: 15 }), item({ minutes: 16 })], 30)).toEqual([
      { code: "minutes", value: 32, most: 30 },
    ]);
    expect(codes([item({ minutes: 300 })])).toEqual([]);
  });
  // Potach & Chu (NSCA Essentials), recalled: beginners to 100, intermediate to 120, advanced to 140 a session.
  it.each([
    ["two-leg-landing", 100],
    ["rebound", 100],
    ["single-leg-landing", 120],
    ["cutting", 140],
  ] as const)("contacts of a day with %s: %s at most", (spring, most) => {
    const spread = (contacts: number) => [
      item({ spring: "rebound", contacts: 60, daysPerWeek: 1 }),
      item({ spring, contacts: contacts - 60, daysPerWeek: 1 }),
    ];
    expect(codes(spread(most))).toEqual([]);
    expect(planTotals(spread(most + 1), null)).toEqual([{ code: "contacts-day", value: most + 1, most }]);
  });
  it("contacts of work that does not spring, such as steps, count nothing", () => {
    expect(codes([item({ contacts: 500, daysPerWeek: 7 })])).toEqual([]);
  });
  it("springs on three days of a week, and no more", () => {
    const days = (spring: CountedItem["spring"], daysPerWeek: number) =>
      codes([item({ spring, contacts: 20, daysPerWeek })]);
    expect(days("two-leg-landing", 3)).toEqual([]);
    expect(days("two-leg-landing", 4)).toEqual(["spring-days"]);
    expect(days("single-leg-landing", 3)).toEqual([]);
    expect(days("cutting", 4)).toEqual(["spring-days"]);
  });
  it("contacts of a week: what three such days may hold, spread over more of them too", () => {
    const week = (daysPerWeek: number) =>
      planTotals([item({ spring: "two-leg-landing", contacts: 75, daysPerWeek })], null);
    expect(week(3)).toEqual([]);
    expect(week(4)).toEqual([{ code: "spring-days", value: 4, most: 3 }]);
    expect(week(5)).toEqual([
      { code: "contacts-week", value: 375, most: 300 },
      { code: "spring-days", value: 5, most: 3 },
    ]);
  });
});
