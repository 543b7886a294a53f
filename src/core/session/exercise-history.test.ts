import { describe, expect, it } from "vitest";
import { cleanSet, reps, strength, zone } from "~tests/builders/decide-input";
import { exerciseHistory } from "./exercise-history";
import { leastSeconds, setProblems } from "./session-problems";
import { tempoPhaseAt } from "./tempo-phase";

const about = { dose: strength, involvedSide: "left" as const, zone };

describe("an exercise over time", () => {
  it("is load × clean repetitions of the involved side, with pain and the next morning", () => {
    const sets = [
      ...reps([10, 8], { loadKg: 20, painDuring: 2 }),
      ...reps([10], { side: "right", loadKg: 20, painDuring: 9 }),
    ];
    const history = exerciseHistory(
      [{ at: "2026-03-09T23:30:00Z", sets }],
      new Map([["2026-03-10", 1]]),
      about,
    );
    expect(history).toEqual({
      unit: "kgReps",
      points: [{ date: "2026-03-10", work: 360, painDuring: 2, painNextDay: 1 }],
    });
  });
  it("counts repetitions as soon as one session had no load", () => {
    const sessions = [
      { at: "2026-03-10T09:00:00Z", sets: reps([12, 12]) },
      { at: "2026-03-08T09:00:00Z", sets: reps([10], { loadKg: 4 }) },
    ];
    const history = exerciseHistory(sessions, new Map(), about);
    expect(history.unit).toBe("reps");
    expect(history.points.map(({ date, work }) => [date, work])).toEqual([
      ["2026-03-08", 10],
      ["2026-03-10", 24],
    ]);
  });
  it("pain elsewhere is no pain at the site", () => {
    const sets = reps([12], { painDuring: 6, painSite: "elsewhere" });
    expect(
      exerciseHistory([{ at: "2026-03-10T09:00:00Z", sets }], new Map(), about).points[0]?.painDuring,
    ).toBe(null);
  });
});

describe("a recorded set is held against its exercise", () => {
  const expected = { dose: strength, sides: "each-side" as const, settings: { "step-height": 10 } };
  const problems = (set: object) =>
    setProblems({ ...cleanSet, side: "left", reps: 12, ...set }, expected, "/s");
  it("a whole one has no problem", () => expect(problems({ settings: { "step-height": 15 } })).toEqual([]));
  it.each([
    ["work missing", { reps: undefined }, "/s/reps"],
    ["both sides at once", { side: "both" }, "/s/side"],
    [
      "more spoiled than done",
      { faults: [{ fault: "knee-in", severity: "marked", reps: 13 }] },
      "/s/faults/0/reps",
    ],
    ["a knob it does not have", { settings: { load: 3 } }, "/s/settings/load"],
    ["a value that does not exist", { settings: { "step-height": 500 } }, "/s/settings/step-height"],
  ])("%s", (_what, set, path) => expect(problems(set).map((p) => p.path)).toEqual([path]));
});

it("work takes at least half a second a repetition, its holds and its minutes", () => {
  const sets = [
    { ...cleanSet, reps: 10, holdSeconds: 5 },
    { ...cleanSet, holdSeconds: 30 },
    { ...cleanSet, minutes: 2 },
  ];
  expect(leastSeconds(sets)).toBe(5 + 50 + 30 + 120);
});

describe("a tempo of 3-1-1-0", () => {
  it.each([
    [0, 0, "down", 3],
    [3.5, 0, "bottom", 0.5],
    [4.25, 0, "up", 0.75],
    [5, 1, "down", 3],
    [14, 2, "up", 1],
  ])("after %f s", (seconds, done, phase, left) => {
    const moment = tempoPhaseAt("3-1-1-0", seconds);
    expect([moment.done, moment.phase]).toEqual([done, phase]);
    expect(moment.secondsLeft).toBeCloseTo(left, 9);
  });
});
