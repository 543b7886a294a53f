import { describe, expect, it } from "vitest";
import { liftProblems, movementKey, standingLifts, unlikelyAbove, type Lift } from "./lift";
import { liftTrends, stallAfterDays, stallDaysLifted } from "./lift-trend";
import { addDays } from "~/core/schedule/local-day";

const today = "2026-03-30";
/** A lift so many days ago: kilograms × repetitions. */
const lift = (daysAgo: number, loadKg: number, over: Partial<Lift> = {}): Lift => {
  const on = addDays(today, -daysAgo);
  return {
    id: `${on}-${loadKg}`,
    at: `${on}T18:00:00Z`,
    on,
    movement: "Crate lift",
    sets: 3,
    reps: 5,
    loadKg,
    ...over,
  };
};
const trend = (lifts: Lift[]) => liftTrends({ lifts, today }).trends[0];

describe("a log of lifts", () => {
  it("newest first, without what was corrected or taken back, and what took its place", () => {
    const wrong = lift(3, 800, { id: "wrong" });
    const right = lift(3, 80, { id: "right", supersedes: "wrong" });
    const gone = lift(2, 85, { id: "gone" });
    const back = lift(2, 85, { id: "back", supersedes: "gone", withdrawn: true });
    const first = lift(9, 70, { id: "first" });
    const evening = lift(3, 82, { id: "evening", at: "2026-03-27T20:00:00Z" });
    expect(standingLifts([first, wrong, right, gone, back, evening]).map(({ id }) => id)).toEqual([
      "evening",
      "right",
      "first",
    ]);
  });
  it("one movement under one name", () => {
    expect(movementKey("  Crate   LIFT ")).toBe(movementKey("crate lift"));
    expect(
      liftTrends({ lifts: [lift(3, 80), lift(1, 82, { movement: "crate  lift " })], today }).trends,
    ).toHaveLength(1);
  });
  const entry = lift(0, 80);
  it.each([
    ["today", entry, []],
    ["tomorrow", { ...entry, on: addDays(today, 1) }, ["/on"]],
    ["a correction of nothing", { ...entry, supersedes: "who" }, ["/supersedes"]],
    ["a correction", { ...entry, supersedes: "known" }, []],
    ["taken back, which one?", { ...entry, withdrawn: true }, ["/withdrawn"]],
    ["taken back", { ...entry, supersedes: "known", withdrawn: true }, []],
  ] as const)("%s", (_what, one, paths) =>
    expect(liftProblems(one, [lift(3, 80, { id: "known" })], today).map(({ path }) => path)).toEqual(paths),
  );
  it.each([
    ["half as much again is asked about only above that", 120, null],
    ["more than that", 120.5, 80],
    ["less", 20, null],
  ] as const)("%s", (_what, loadKg, heaviest) =>
    expect(unlikelyAbove(lift(0, loadKg), [lift(3, 80), lift(4, 60)])).toBe(heaviest),
  );
  it("nothing to compare with, another movement, its own correction, taken back: nothing is asked", () => {
    const far = lift(0, 300);
    expect(unlikelyAbove(far, [])).toBeNull();
    expect(unlikelyAbove(far, [lift(3, 80, { movement: "Row" })])).toBeNull();
    expect(unlikelyAbove({ ...far, supersedes: "own" }, [lift(3, 80, { id: "own" })])).toBeNull();
    expect(unlikelyAbove({ ...far, supersedes: "x", withdrawn: true }, [lift(3, 80)])).toBeNull();
  });
});

describe("whether it still moves", () => {
  it("is the best estimated single of each day: 80 kg × 5 are 93.3 kg (Epley 1985)", () => {
    const points = trend([
      lift(7, 80),
      lift(7, 84, { reps: 3 }),
      lift(7, 60, { reps: 8 }),
      lift(3, 90, { reps: 1 }),
    ])?.points;
    expect(points?.map(({ loadKg, oneRepMaxKg }) => [loadKg, Math.round(oneRepMaxKg * 10) / 10])).toEqual([
      [80, 93.3],
      [90, 90],
    ]);
  });
  it("sets above twelve repetitions estimate nothing; twelve still do", () => {
    expect(trend([lift(7, 40, { reps: 13 })])).toBeUndefined();
    expect(trend([lift(7, 40, { reps: 12 })])?.bestKg).toBe(56);
  });
  it("what is to come is not looked at", () => {
    expect(trend([lift(7, 80), lift(-1, 100)])?.points).toHaveLength(1);
    expect(trend([lift(7, 80), lift(0, 100)])?.points).toHaveLength(2);
  });

  // No better for three weeks, over four days of lifting (common practice).
  const since = (...days: number[]) => days.map((daysAgo) => lift(daysAgo, 80));
  it.each([
    ["21 days and four trainings", [lift(21, 80), ...since(18, 12, 6, 1)], 21],
    ["20 days", [lift(20, 80), ...since(18, 12, 6, 1)], null],
    ["three trainings", [lift(40, 80), ...since(18, 12, 6)], null],
    ["a real gain in between", [lift(40, 80), ...since(30, 25), lift(20, 84), ...since(18, 12, 6, 1)], null],
    ["one per cent is no gain", [lift(40, 80), ...since(30, 25), lift(20, 80.8), ...since(18, 12, 6, 1)], 40],
    [
      "a little more than one is",
      [lift(40, 80), ...since(30, 25), lift(20, 80.9), ...since(18, 12, 6, 1)],
      null,
    ],
    [
      "two entries on one day are one training",
      [lift(40, 80), ...since(12, 6), lift(6, 79), lift(1, 80)],
      null,
    ],
  ] as const)("%s", (_what, lifts, stalled) => expect(trend([...lifts])?.stalledDays).toBe(stalled));
  it("reads its figures as the trade says them", () =>
    expect([stallAfterDays, stallDaysLifted]).toEqual([21, 4]));

  it("counts what felt uneasy in the last three weeks, and nothing else", () => {
    const lifts = [
      lift(20, 80, { felt: "legs-absent" }),
      lift(21, 80, { felt: "legs-absent" }),
      lift(3, 80, { felt: "back-stiff" }),
      lift(2, 80, { felt: "heavy" }),
      lift(1, 80),
    ];
    expect(trend(lifts)?.uneasy).toBe(2);
  });
  it("the longest stalled movement first, those that move last", () => {
    const stalled = (movement: string, days: number) =>
      [lift(days, 80, { movement }), ...since(18, 12, 6, 1)].map((one) => ({ ...one, movement }));
    const { trends } = liftTrends({
      lifts: [lift(2, 50, { movement: "Row" }), ...stalled("Crate lift", 22), ...stalled("Hinge", 50)],
      today,
    });
    expect(trends.map(({ movement }) => movement)).toEqual(["Hinge", "Crate lift", "Row"]);
  });
});
