import { describe, expect, it } from "vitest";
import { laneAdherence } from "./lane-adherence";
import { weeklyMeanRise } from "./weekly-mean-rise";

const march = (...days: number[]) => days.map((day) => `2026-03-${String(day).padStart(2, "0")}`);

describe("how much of a lane was done", () => {
  const lane = (startedOn: string, daysPerWeek: number, doneOn: string[]) => ({
    startedOn,
    daysPerWeek,
    doneOn,
  });

  it("over the last fourteen days: three a week are six", () => {
    const done = march(11, 13, 16, 18, 20, 23);
    expect(laneAdherence(lane("2026-02-01", 3, done), "2026-03-25")).toBe(100);
    expect(laneAdherence(lane("2026-02-01", 3, done.slice(3)), "2026-03-25")).toBeCloseTo(50, 9);
  });
  it("says nothing in the first three days, nor before a whole day can be asked", () => {
    expect(laneAdherence(lane("2026-03-10", 3, []), "2026-03-12")).toBeNull();
    expect(laneAdherence(lane("2026-03-10", 3, []), "2026-03-15")).toBeNull();
    expect(laneAdherence(lane("2026-03-10", 3, []), "2026-03-16")).toBe(0);
  });
  it("counts a day once, caps at 100, and leaves out what lies before the fortnight", () => {
    expect(laneAdherence(lane("2026-02-01", 2, march(12, 12, 14, 16, 18, 20)), "2026-03-25")).toBe(100);
    expect(laneAdherence(lane("2026-02-01", 2, march(1, 2, 3, 4)), "2026-03-25")).toBe(0);
  });
  it("asks whole days only: five a week over five days are three", () => {
    expect(laneAdherence(lane("2026-03-10", 5, march(14, 16)), "2026-03-18")).toBeCloseTo(200 / 3, 9);
  });
});

describe("whether the weekly mean of pain rises", () => {
  const days = (...entries: [number, number][]) =>
    entries.map(([day, pain]) => ({ date: march(day)[0] as string, pain }));

  it("is the mean of the last seven days less that of the seven before", () => {
    expect(weeklyMeanRise(days([2, 2], [4, 2], [9, 4], [11, 4]), "2026-03-12")).toBe(2);
    expect(weeklyMeanRise(days([2, 4], [4, 4], [9, 3], [11, 2]), "2026-03-12")).toBe(-1.5);
  });
  it("is unknown with fewer than two training days in either week", () => {
    expect(weeklyMeanRise(days([4, 2], [9, 4], [11, 4]), "2026-03-12")).toBeNull();
    expect(weeklyMeanRise(days([2, 2], [4, 2], [11, 4]), "2026-03-12")).toBeNull();
  });
  it("takes the seventh day back as the earlier week's", () => {
    expect(weeklyMeanRise(days([4, 0], [5, 0], [6, 6], [12, 6]), "2026-03-12")).toBe(6);
    expect(weeklyMeanRise(days([4, 0], [5, 6], [6, 6], [12, 6]), "2026-03-12")).toBe(3);
  });
});
