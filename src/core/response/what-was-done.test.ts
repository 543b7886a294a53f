import { describe, expect, it } from "vitest";
import type { Dose } from "~/core/dose/dose";
import { asks, range, set } from "~tests/builders/plain-sets";
import { markedInMostReps } from "./clean-reps";
import { fallsBelow } from "./falls-below";
import { painCause } from "./pain-cause";
import type { SetRecord } from "./session-record";
import { workDone } from "./work-done";

/** Sets counted by hand against what was asked of them, in every unit that a dose can have (common practice). */
const units: [string, Dose, (value: number) => Partial<SetRecord>, number, number][] = [
  ["reps", asks({ reps: range(8, 12) }), (reps) => ({ reps }), 8, 12],
  ["hold", asks({ hold: range(20, 30) }), (holdSeconds) => ({ holdSeconds }), 20, 30],
  ["contacts", asks({ contacts: range(20, 30) }), (contacts) => ({ contacts }), 20, 30],
  ["minutes", asks({ minutes: 20 }), (minutes) => ({ minutes }), 20, 20],
  // 50 to 70 % of 200 N begin at 100 N, and that is what counts as done.
  ["force", asks({ effort: { lowPercent: 50, highPercent: 70 } }), (forceN) => ({ forceN }), 100, 100],
];
const maximumN = 200;

describe.each(units)("what was done in %s", (unit, dose, of, bottom, top) => {
  const told = (...values: number[]) =>
    workDone(
      values.map((value) => set(of(value))),
      { dose, involvedSide: "left", maximumN },
    );
  it("is told set by set, beside what was asked", () => {
    expect(told(top, top - 1)).toEqual({
      unit,
      leg: "left",
      done: [top, top - 1],
      bottom,
      top,
      setsAsked: 2,
    });
  });
  it("is nothing where nobody wrote it down", () => {
    const said = workDone([set({})], { dose, involvedSide: "left", maximumN });
    expect(said?.done).toEqual([0]);
  });
  // Minutes may fall to two thirds of what was asked; everything else to its bottom.
  const least = unit === "minutes" ? (top * 2) / 3 : bottom;
  it("falls below its bottom only below it, added up over the sets", () => {
    const below = (...values: number[]) =>
      fallsBelow(
        values.map((value) => set(of(value))),
        { dose, maximumN },
      );
    expect(below(least, least)).toBe(false);
    expect(below(least, least - 0.5)).toBe(true);
    expect(below(least + 0.5, least - 0.5)).toBe(false);
    expect(below()).toBe(false);
  });
});

describe("of several things that a dose counts", () => {
  const both = asks({ reps: range(8, 12), hold: range(3, 5) });
  const told = (...sets: SetRecord[]) => workDone(sets, { dose: both, involvedSide: "left", maximumN: null });
  it("the first that fell short is told, else the first", () => {
    expect(told(set({ reps: 12, holdSeconds: 4 }))).toMatchObject({ unit: "hold", done: [4] });
    expect(told(set({ reps: 11, holdSeconds: 4 }))).toMatchObject({ unit: "reps", done: [11] });
    expect(told(set({ reps: 12, holdSeconds: 5 }))).toMatchObject({ unit: "reps", done: [12] });
    // One set at the top does not hide the other.
    expect(told(set({ reps: 12, holdSeconds: 5 }), set({ reps: 12, holdSeconds: 4 }))).toMatchObject({
      unit: "hold",
      done: [5, 4],
    });
  });
  it("a hold that nobody wrote down in repetitions does not fall below; a held dose without one does", () => {
    expect(fallsBelow([set({ reps: 12 })], { dose: both, maximumN: null })).toBe(false);
    expect(fallsBelow([set({})], { dose: asks({ hold: range(20, 30) }), maximumN: null })).toBe(true);
  });
  it("a dose that counts nothing tells nothing", () => {
    expect(workDone([set({ reps: 3 })], { dose: asks({}), involvedSide: "left", maximumN })).toBeNull();
  });
  it("a band without a known maximum counts no newtons", () => {
    const squeeze = asks({ effort: { lowPercent: 50, highPercent: 70 } });
    expect(
      workDone([set({ forceN: 1 })], { dose: squeeze, involvedSide: "left", maximumN: null }),
    ).toBeNull();
    expect(fallsBelow([set({ forceN: 1 })], { dose: squeeze, maximumN: null })).toBe(false);
    expect(fallsBelow([set({})], { dose: squeeze, maximumN })).toBe(false);
  });
  it("fear in one set of a leg is no sign of too much in any of it; the other leg is asked for itself", () => {
    const reps = asks({ reps: range(8, 12) });
    const afraid = set({ reps: 2, limit: { kind: "fear" } });
    expect(fallsBelow([afraid, set({ reps: 2 })], { dose: reps, maximumN })).toBe(false);
    expect(fallsBelow([afraid, set({ side: "right", reps: 2 })], { dose: reps, maximumN })).toBe(true);
  });
});

describe("with both legs hurt the worse one is told", () => {
  const dose = asks({ reps: range(8, 12) });
  const told = (...sets: SetRecord[]) => workDone(sets, { dose, involvedSide: "both", maximumN: null });
  const left = (reps: number) => set({ side: "left", reps });
  const right = (reps: number) => set({ side: "right", reps });
  it("the one with fewer sets", () => {
    expect(told(left(12), left(12), right(12))).toMatchObject({ leg: "right", done: [12] });
    expect(told(left(8), right(12), right(12))).toMatchObject({ leg: "left", done: [8] });
  });
  it("else the one furthest below the top, by its worst set", () => {
    expect(told(left(12), left(12), right(12), right(9))).toMatchObject({ leg: "right" });
    expect(told(left(9), left(12), right(10), right(10))).toMatchObject({ leg: "left" });
    expect(told(left(12), right(12))).toMatchObject({ leg: "left" });
  });
  it("work of both legs together is either's", () => {
    expect(told(set({ side: "both", reps: 10 }))).toMatchObject({ done: [10] });
    const one = workDone([set({ side: "both", reps: 10 }), right(4)], {
      dose,
      involvedSide: "left",
      maximumN: null,
    });
    expect(one).toMatchObject({ leg: "left", done: [10] });
  });
});

describe("what the worst pain is laid to", () => {
  const felt = (pain: number, over: Pick<SetRecord, "painWith" | "painArc"> = {}) => ({ pain, set: over });
  const at = (fromDeg: number) => ({ painArc: { fromDeg } });
  it("the worst set decides", () => {
    expect(painCause([felt(5, { painWith: "depth" }), felt(6, { painWith: "effort" })], {}).with).toBe(
      "effort",
    );
  });
  it("of equally bad ones a depth, and of those one with its angle", () => {
    const sets = [
      felt(6, { painWith: "effort" }),
      felt(6, { painWith: "depth" }),
      felt(6, { painWith: "depth", ...at(70) }),
    ];
    expect(painCause(sets, {})).toEqual({ with: "depth", arc: { fromDeg: 70 } });
    expect(painCause(sets.slice(0, 2), {})).toEqual({ with: "depth", arc: null });
    // An angle of a set that does not speak of depth is not the depth's.
    expect(painCause([felt(6, { painWith: "down", ...at(40) }), felt(6, { painWith: "depth" })], {})).toEqual(
      {
        with: "depth",
        arc: null,
      },
    );
  });
  it("an angle alone is a depth; a phase or afterwards is a load, an angle beside it or not", () => {
    expect(painCause([felt(6, at(70))], { loadKg: 20 }).with).toBe("depth");
    for (const painWith of ["effort", "down", "up", "after"] as const)
      expect(painCause([felt(6, { painWith, ...at(70) })], {}).with).toBe("effort");
  });
  it.each([
    ["no load", {}, "depth"],
    ["a load of nothing", { loadKg: 0 }, "depth"],
    ["a load", { loadKg: 4 }, "effort"],
    ["an effort band", { effort: { lowPercent: 30, highPercent: 40 } }, "effort"],
  ] as const)("no pattern: what the dose suggests; %s", (_what, dose, expected) => {
    expect(painCause([felt(6, { painWith: "none" })], dose).with).toBe(expected);
    expect(painCause([felt(6)], dose).with).toBe(expected);
    expect(painCause([], dose)).toEqual({ with: expected, arc: null });
  });
});

describe("a marked fault in most repetitions", () => {
  const marked = (reps: number | "some" | "most") => ({
    fault: "knee-in",
    severity: "marked" as const,
    reps,
  });
  it.each([
    ["said to be in most", { reps: 10, faults: [marked("most")] }, true],
    ["in some", { reps: 10, faults: [marked("some")] }, false],
    ["in some, twice", { reps: 10, faults: [marked("some"), marked("some")] }, true],
    ["counted in half", { reps: 10, faults: [marked(5)] }, true],
    ["counted in fewer", { reps: 10, faults: [marked(4)] }, false],
    ["of a single hold, in some of it", { faults: [marked("some")] }, false],
    ["of a single hold", { faults: [marked(1)] }, true],
    ["none at all", { reps: 10, faults: [] }, false],
    ["none at all in a hold", { faults: [] }, false],
    ["no repetition done, and none marked", { reps: 0, faults: [] }, false],
  ] as const)("%s", (_what, one, expected) => {
    expect(markedInMostReps({ ...one, faults: [...one.faults] })).toBe(expected);
  });
});
