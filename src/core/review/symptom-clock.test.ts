import { describe, expect, it } from "vitest";
import { addDays } from "~/core/schedule/local-day";
import { symptomClock, type ClockInput } from "./symptom-clock";

/** 'No change in three weeks', reasoned by hand from the rules of decisions (common practice). */
const today = "2026-03-30";
/** Pain of two training days in each week, the last week first. */
const weeks = (...means: number[]) =>
  means.flatMap((pain, n) => [1, 4].map((ago) => ({ date: addDays(today, -7 * n - ago), pain })));
const ask = (days: ClockInput["days"], over: Partial<ClockInput> = {}) =>
  symptomClock({ days, goMax: 2, adherencePercent: 90, nextDayFine: true, today, ...over });

describe("the symptom clock", () => {
  it("three weeks without a fall of a point: more of it on another day", () =>
    expect(ask(weeks(4, 4, 4, 4))).toEqual({ days: 21, then: 4, now: 4, offer: "more-volume" }));
  it.each([
    ["it fell by a point", weeks(4, 4, 4, 5)],
    ["it lies in the go band", weeks(2, 2, 2, 2)],
    ["nobody knows how it was three weeks ago", weeks(4, 4, 4)],
    ["one day is no week", [{ date: "2026-03-29", pain: 4 }, ...weeks(0, 0, 0, 4).slice(6)]],
  ])("is silent where %s", (_what, days) => expect(ask(days)).toBeNull());
  it.each([
    ["too little was done", { adherencePercent: 69 }],
    ["nothing could be asked yet", { adherencePercent: null }],
    ["the school lets so much pass", { goMax: 4 }],
  ])("is silent where %s", (_what, over) => expect(ask(weeks(4, 4, 4, 4), over)).toBeNull());
  it("a little less than a point is no change", () =>
    expect(
      ask([...weeks(4, 4, 4), { date: "2026-03-05", pain: 5 }, { date: "2026-03-08", pain: 4 }]),
    ).toMatchObject({
      then: 4.5,
    }));
  it("adherence of 70 % is enough", () =>
    expect(ask(weeks(4, 4, 4, 4), { adherencePercent: 70 })).not.toBeNull());
  it("no more of it while the body answers it: another variant", () =>
    expect(ask(weeks(4, 4, 4, 4), { nextDayFine: false })?.offer).toBe("another-variant"));
  it("three weeks later another variant, three weeks later referral, and then still that", () => {
    const long = (n: number) => ask(weeks(...Array.from({ length: n }, () => 4)));
    expect(long(6)).toMatchObject({ days: 21 });
    expect(long(7)).toMatchObject({ days: 42, offer: "another-variant" });
    expect(long(10)).toMatchObject({ days: 63, offer: "referral" });
    expect(long(13)).toMatchObject({ days: 84, offer: "referral" });
  });
  it("a fall in between ends the count there", () =>
    expect(ask(weeks(4, 4, 4, 4, 5, 6, 7))).toMatchObject({ days: 21 }));
});
