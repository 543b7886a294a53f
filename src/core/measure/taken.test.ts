import { describe, expect, it } from "vitest";
import { startingMeasures } from "~/catalogue/measures/all";
import { check } from "~/core/schema/check";
import { takenOnProblems, takenProblems } from "./taken-problems";
import { resultOf, TakenResult, takenWith } from "./taken-result";

const measures = new Map(startingMeasures.map((measure) => [measure.code, measure]));
const measure = (code: string) => {
  const found = measures.get(code);
  if (!found) throw new Error(`there is no measure ${code}`);
  return found;
};
const force = measure("hip-adduction-force");
const taken = (over: Partial<TakenResult> = {}): TakenResult => ({
  measure: force.code,
  side: "left",
  trials: [200],
  ...over,
});

describe("the day of a visit", () => {
  const days = { today: "2026-03-10", bornOn: "1990-05-01", onsetOn: "2026-02-01" };
  const said = (takenOn: string, ...results: TakenResult[]) =>
    takenOnProblems({ takenOn, results: results.length > 0 ? results : [taken()] }, days, "/takenOn");

  it("today is taken, tomorrow lies in the future", () => {
    expect(said("2026-03-10")).toEqual([]);
    expect(said("2026-03-11")).toEqual([{ path: "/takenOn", problem: "lies in the future" }]);
  });
  it("the day of the injury is since it; the day before is not, unless every value says so", () => {
    expect(said("2026-02-01")).toEqual([]);
    expect(said("2026-01-31")).toEqual([
      {
        path: "/takenOn",
        problem: "lies before the injury (2026-02-01); mark such values as from before it",
      },
    ]);
    const before = taken({ occasion: "pre-injury" });
    expect(said("2026-01-31", before)).toEqual([]);
    expect(said("2026-01-31", before, taken())).toHaveLength(1);
    expect(said("2026-01-31", before, taken({ occasion: "since-injury" }))).toHaveLength(1);
  });
  it("nothing is taken on the day of birth or before it", () => {
    const before = taken({ occasion: "pre-injury" });
    expect(said("1990-05-02", before)).toEqual([]);
    for (const on of ["1990-05-01", "1990-04-30"])
      expect(said(on, before)).toEqual([{ path: "/takenOn", problem: "lies before this person was born" }]);
  });
});

describe("what is wrong with results, at the field", () => {
  const said = (...results: TakenResult[]) => takenProblems(results, measures, "/results");
  const pain = measure("pain-now");
  const wholeOnly = startingMeasures.find(({ code }) => code === "pain-now");
  const graded = startingMeasures.find((one) => one.code === "effusion");

  it("a sound one says nothing; an unknown measure is named", () => {
    expect(said(taken(), taken({ side: "right" }))).toEqual([]);
    expect(said(taken({ measure: "grip" }))).toEqual([
      { path: "/results/0/measure", problem: "is not a measure of this clinic" },
    ]);
  });
  it("sides, as the measure has them", () => {
    expect(said(taken({ side: "none" }))).toEqual([
      { path: "/results/0/side", problem: "is taken on the left or the right" },
    ]);
    expect(said(taken({ measure: pain.code, trials: [2] }))).toEqual([
      { path: "/results/0/side", problem: "is taken once, not on a side" },
    ]);
    expect(said(taken({ measure: pain.code, side: "none", trials: [2] }))).toEqual([]);
  });
  it("once a side and occasion", () => {
    expect(said(taken(), taken())).toEqual([
      { path: "/results/1/measure", problem: "stands twice on this side; give its trials together" },
    ]);
    expect(said(taken(), taken({ occasion: "pre-injury" }))).toEqual([]);
  });
  it("what cannot be is refused with its limit; what is unusual is asked about", () => {
    const { plausible, usual } = force;
    const one = (trial: number, over: Partial<TakenResult> = {}) =>
      said(taken({ trials: [200, trial], ...over }));
    expect(one(plausible.high + 1)).toEqual([
      { path: "/results/0/trials/1", problem: `is above ${plausible.high}, which cannot be` },
    ]);
    expect(one(plausible.low - 1)).toEqual([
      { path: "/results/0/trials/1", problem: `is below ${plausible.low}, which cannot be` },
    ]);
    if (!usual) throw new Error("a force has what is usual");
    const unusual = usual.high + 1;
    expect(one(unusual)).toEqual([
      { path: "/results/0/trials/1", problem: "is unusual; confirm that it is meant" },
    ]);
    expect(one(unusual, { confirmed: true })).toEqual([]);
    expect(one(unusual, { confirmed: false })).toHaveLength(1);
  });
  it("whole numbers and grades", () => {
    expect(wholeOnly).toBeDefined();
    expect(said(taken({ measure: pain.code, side: "none", trials: [2.5] }))).toEqual([
      { path: "/results/0/trials/0", problem: "must be a whole number" },
    ]);
    if (graded)
      expect(said(taken({ measure: graded.code, trials: [1.5] }))[0]?.problem).toMatch(
        /is not one of its grades|must be a whole number/,
      );
  });
});

describe("a result of the record", () => {
  it("has its trials as one value by the measure's rule, and says since when, how and what else", () => {
    const best = resultOf(taken({ trials: [190, 210, 200] }), force, "r1", "2026-03-10");
    expect(best).toEqual({
      id: "r1",
      measure: force.code,
      side: "left",
      trials: [190, 210, 200],
      value: force.summary === "best" ? 210 : 200,
      takenOn: "2026-03-10",
      occasion: "since-injury",
    });
    const told = resultOf(taken({ way: "long lever", occasion: "pre-injury" }), force, "r2", "2026-03-10");
    expect(told).toMatchObject({ position: "long lever", occasion: "pre-injury" });
    expect(best).not.toHaveProperty("position");
    expect(best).not.toHaveProperty("detail");
  });
  it("is strict about what is sent: one to five trials, known sides, nothing beside", () => {
    const ok = (data: unknown) => check(TakenResult, data).ok;
    expect(ok(taken())).toBe(true);
    expect(ok(taken({ trials: [] }))).toBe(false);
    expect(ok(taken({ trials: [1, 2, 3, 4, 5, 6] }))).toBe(false);
    expect(ok({ ...taken(), side: "middle" })).toBe(false);
    expect(ok({ ...taken(), note: "x" })).toBe(false);
    expect(ok(taken({ measure: "" }))).toBe(false);
    expect(ok(taken({ way: "x".repeat(121) }))).toBe(false);
    expect(check(takenWith({}), { ...taken(), note: "x" }).ok).toBe(false);
  });
});
