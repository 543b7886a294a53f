import { describe, expect, it } from "vitest";
import { asks, range, set } from "~tests/builders/plain-sets";
import { judgeDay, type DayContext } from "./judge-day";
import type { SetRecord, TrainingDay } from "./session-record";

const maximumN = 200;

describe("a day", () => {
  const context: DayContext = {
    dose: asks({ reps: range(8, 12) }),
    school: "monitored",
    involvedSide: "left",
    maximumN: null,
    now: "2026-03-10T12:00:00Z",
    zone: "Europe/Vienna",
  };
  const day = (sets: SetRecord[], over: Partial<TrainingDay> = {}): TrainingDay => ({
    date: "2026-03-09",
    lastSessionAt: "2026-03-09T10:00:00Z",
    painBefore: 0,
    sets,
    ...over,
  });
  const judged = (sets: SetRecord[], over: Partial<TrainingDay> = {}, more: Partial<DayContext> = {}) =>
    judgeDay(day(sets, over), { ...context, ...more });

  it("soreness of the other leg's muscle does not count, pain at the site does whichever leg worked", () => {
    const sore = set({ side: "right", painSite: "muscle", painDuring: 9 });
    expect(judged([set({}), sore]).painDuring).toBe(0);
    expect(judged([set({}), set({ side: "right", painDuring: 4 })]).painDuring).toBe(4);
  });
  it("pain elsewhere is the worst that was said elsewhere", () => {
    const elsewhere = set({ painSite: "elsewhere", painDuring: 3 });
    expect(judged([set({ painDuring: 7 }), elsewhere]).painElsewhere).toBe(3);
    expect(judged([set({ painDuring: 7 })]).painElsewhere).toBe(0);
  });
  it("one set felt in the wrong place is enough", () => {
    expect(judged([set({}), set({ limit: { kind: "wrong-place" } })]).wrongPlace).toBe(true);
    expect(judged([set({}), set({ limit: { kind: "weakness" } })]).wrongPlace).toBe(false);
  });
  it.each([
    ["a block before everything", ["pinch", "block"], "block"],
    ["a pinch without its grade before one with", ["pinch", "graded"], "ungraded"],
    ["a pinch with its grade", ["graded", "weakness"], "graded"],
    ["neither", ["weakness", "fear"], null],
    ["nothing at all", [], null],
  ] as const)("%s", (_what, kinds, expected) => {
    const sets = kinds.map((kind) =>
      set({ limit: kind === "graded" ? { kind: "pinch", pinchGrade: 1 } : { kind } }),
    );
    expect(judged([...sets, set({})]).pinchSaid).toBe(expected);
  });

  describe("in a band of effort", () => {
    const squeeze = asks({ effort: { lowPercent: 50, highPercent: 70 }, hold: range(10, 10) });
    const pushed = (...forces: (number | undefined)[]) =>
      judged(
        forces.map((forceN) => set({ holdSeconds: 10, ...(forceN === undefined ? {} : { forceN }) })),
        {},
        { dose: squeeze, maximumN },
      );
    // 50 to 70 % of 200 N: 100 to 140 N.
    it("a set nobody read is said, and not the day whose every set was read", () => {
      expect(pushed(120, undefined).forceUnread).toBe(true);
      expect(pushed(120, 120).forceUnread).toBe(false);
    });
    it("above the band is above its upper end, in any set", () => {
      expect(pushed(140, 140).forceAbove).toBe(false);
      expect(pushed(140, 140.5).forceAbove).toBe(true);
      expect(pushed(undefined).forceAbove).toBe(false);
    });
    it("its lower end is its top", () => {
      expect(pushed(100, 100).atTop).toBe(true);
      expect(pushed(100, 99.5).atTop).toBe(false);
    });
    it("without a maximum, or without a band, no newtons are asked for", () => {
      const noMaximum = judged([set({ forceN: 500 })], {}, { dose: squeeze });
      expect([noMaximum.forceUnread, noMaximum.forceAbove]).toEqual([false, false]);
      const noBand = judged([set({ reps: 12, forceN: 500 })], {}, { maximumN });
      expect([noBand.forceUnread, noBand.forceAbove]).toEqual([false, false]);
    });
  });

  describe("with a report that came too late", () => {
    const late = {
      receivedAt: "2026-03-12T10:00:00Z",
      pain: 0,
      stiffnessMinutes: 0,
      swelling: "same",
    } as const;
    const at = (report: object, now: string, school: DayContext["school"] = "monitored") =>
      judged([set({})], { report: { ...late, ...report } }, { now, school });
    const after = "2026-03-12T11:00:00Z";
    it("its bad news counts, its good news does not", () => {
      expect(at({ pain: 4 }, after)).toMatchObject({ nextDay: "ease", painNextDay: 4 });
      expect(at({ swelling: "more" }, after)).toMatchObject({ nextDay: "ease", swellingMore: true });
      expect(at({}, after).painNextDay).toBeNull();
      expect(at({ pain: 2 }, after).painNextDay).toBeNull();
    });
    it("not before it came, and from the moment it did", () => {
      expect(at({ pain: 4 }, "2026-03-12T09:59:59Z").nextDay).not.toBe("ease");
      expect(at({ pain: 4 }, "2026-03-12T10:00:00Z").nextDay).toBe("ease");
    });
    it("the tendon school reads its loading test, not the morning", () => {
      expect(at({ pain: 9, loadTestPain: 2 }, after, "tendon")).toMatchObject({ byLoadTest: false });
      expect(at({ pain: 0, loadTestPain: 6 }, after, "tendon")).toMatchObject({
        nextDay: "ease",
        byLoadTest: true,
      });
      expect(at({ pain: 4 }, after, "tendon")).toMatchObject({ nextDay: "ease", byLoadTest: false });
    });
  });

  describe("whose muscles are still sore", () => {
    const sore = [set({ painSite: "muscle", painDuring: 4 })];
    const known = (stillSoreAt: string, now: string) => judged(sore, { stillSoreAt }, { now }).painDuring;
    // The session ended on 9 March at 10:00 UTC.
    it("counts them beyond 48 hours, from when it was said", () => {
      expect(known("2026-03-11T10:00:00Z", "2026-03-12T10:00:00Z")).toBe(0);
      expect(known("2026-03-11T10:00:01Z", "2026-03-12T10:00:00Z")).toBe(4);
      expect(known("2026-03-12T10:00:00Z", "2026-03-12T10:00:00Z")).toBe(4);
      expect(known("2026-03-12T10:00:01Z", "2026-03-12T10:00:00Z")).toBe(0);
    });
  });
});
