import { describe, expect, it } from "vitest";
import { gateExample } from "~/core/calculation/examples";
import type { Measure, MeasureResult } from "~/core/measure/measure";
import { normalCdf } from "~/core/measure/normal-cdf";
import { asked, common, measure, plain, ratio, result } from "~tests/builders/criteria";
import { evaluateGate } from "./evaluate-gate";
import type { Criterion, EffortDay, Passing } from "./gate";
import type { GateInput } from "./gate-input";

const found = (
  criterion: Criterion,
  measures: Measure[],
  results: MeasureResult[],
  over: Partial<GateInput> = {},
) =>
  evaluateGate({
    ...gateExample,
    gate: { minimumDaysInStage: 0, minimumDaysSinceOnset: 0, criteria: [criterion] },
    today: "2026-03-10",
    involvedSide: "left",
    effortDays: [],
    measures,
    results,
    ...over,
  }).criteria[0];

describe("a value", () => {
  it("has the probability that its error leaves: Φ((94 − 90)/4) = Φ(1)", () => {
    const seen = found(asked("value"), [measure("a")], [result("a", "left", 94)]);
    expect(seen).toMatchObject({
      verdict: "met-within-error",
      value: 94,
      unit: "N",
      comparison: ">=",
      threshold: 90,
    });
    expect(seen?.probability).toBeCloseTo(normalCdf(1), 12);
  });
  it("of a measure without a known error is met or not", () => {
    const of = (value: number) => found(asked("value"), [measure("a", plain)], [result("a", "left", value)]);
    expect([of(90)?.verdict, of(89.9)?.verdict, of(90)?.probability]).toEqual(["met", "not-met", null]);
  });
  it.each([
    ["higher", 80, 95, 80],
    ["higher", 95, 80, 80],
    ["lower", 80, 95, 95],
    ["lower", 95, 80, 95],
  ] as const)(
    "%s is better, left %i, right %i, both injured: the worse one, %i",
    (better, left, right, worse) => {
      const results = [result("a", "left", left), result("a", "right", right, "2026-03-08")];
      const seen = found(asked("value"), [measure("a", { better })], results, { involvedSide: "both" });
      expect([seen?.value, seen?.takenOn]).toEqual([worse, worse === left ? "2026-03-09" : "2026-03-08"]);
    },
  );
  it("of one side only is missing where both are injured", () => {
    const seen = found(asked("value"), [measure("a")], [result("a", "left", 99)], { involvedSide: "both" });
    expect(seen).toMatchObject({ verdict: "missing", value: null, unit: "N" });
  });
  it("of the person is read where the measure has no sides, whoever is injured where", () => {
    const seen = found(asked("value"), [measure("a", { sides: "none" })], [result("a", "none", 99)], {
      involvedSide: "both",
    });
    expect(seen?.value).toBe(99);
  });
  it("is stale the day after its last one", () => {
    const on = (takenOn: string) =>
      found(asked("value"), [measure("a", plain)], [result("a", "left", 99, takenOn)])?.verdict;
    expect([on("2026-02-24"), on("2026-02-23")]).toEqual(["met", "stale"]);
  });
});

describe("passing only when confident", () => {
  const passes = (value: number, passing: Passing) =>
    found(asked("value"), [measure("a")], [result("a", "left", value)], { passing })?.passes;

  it("takes a probability of 90 %: 1.2816 standard errors above", () => {
    expect([passes(95.13, "confident"), passes(95.12, "confident")]).toEqual([true, false]);
    expect([passes(90, "point"), passes(89.9, "point")]).toEqual([true, false]);
  });
});

describe("symmetry", () => {
  const sides = (left: number, right: number, first = "2026-03-09") => [
    result("a", "left", left, first),
    result("a", "right", right),
  ];

  it("is the injured side against the other, dated by the older of the two", () => {
    const seen = found(asked("symmetry"), [measure("a", plain)], sides(90, 100, "2026-03-01"));
    expect(seen).toMatchObject({
      verdict: "met",
      value: 90,
      unit: "%",
      takenOn: "2026-03-01",
      note: "other-side",
    });
    expect(seen?.early).toMatchObject({ percent: 90, takenOn: "2026-03-09" });
  });
  it("has the probability and the interval of both sides' errors", () => {
    const seen = found(asked("symmetry"), [measure("a")], sides(90, 100));
    expect(seen?.probability).toBeCloseTo(0.5, 12);
    expect(seen?.low95).toBeLessThan(90);
    expect(seen?.high95).toBeGreaterThan(90);
  });
  it("asked to be at most something, has the probability of the other side of the line", () => {
    const of = (comparison: ">=" | "<=") =>
      found(asked("symmetry", { comparison }), [measure("a")], sides(95, 100))?.probability ?? Number.NaN;
    expect(of(">=")).toBeGreaterThan(0.5);
    expect(of(">=") + of("<=")).toBeCloseTo(1, 12);
  });
  it("of a measure with an error of the index uses that", () => {
    const errors = [{ of: "symmetry", kind: "sem", amount: 4, source: { kind: "common-practice" } }];
    const seen = found(asked("symmetry"), [measure("a", { errors } as Partial<Measure>)], sides(94, 100));
    expect(seen?.probability).toBeCloseTo(normalCdf(1), 12);
    expect([seen?.low95, seen?.high95]).toEqual([null, null]);
  });
  it.each([
    ["nothing measured", [], "missing", null],
    ["the injured side only", [result("a", "left", 90)], "missing", "needs-the-other-side"],
    ["the other side only", [result("a", "right", 90)], "missing", "needs-the-other-side"],
    ["the other side at zero", sides(90, 0), "undefined", "other-side-is-zero"],
  ] as const)("%s", (_what, results, verdict, note) => {
    expect(found(asked("symmetry"), [measure("a")], [...results])).toMatchObject({
      verdict,
      note,
      value: null,
      unit: "%",
      early: null,
    });
  });
  it("the injured side at zero is nought, not undefined, where higher is better", () => {
    expect(found(asked("symmetry"), [measure("a")], sides(0, 100))).toMatchObject({
      verdict: "not-met",
      value: 0,
      probability: null,
    });
  });
  it("is turned round where lower is better", () => {
    expect(
      found(asked("symmetry"), [measure("a", { ...plain, better: "lower" })], sides(2.5, 2))?.value,
    ).toBe(80);
    expect(found(asked("symmetry"), [measure("a", { better: "lower" })], sides(0, 2))?.note).toBe(
      "other-side-is-zero",
    );
  });
  it.each([
    ["both-sides-injured", {}, "both"],
    ["two-leg-measure", { sides: "none" }, "left"],
  ] as const)("says %s", (note, over, involvedSide) => {
    const seen = found(asked("symmetry"), [measure("a", over)], sides(90, 100), { involvedSide });
    expect(seen).toMatchObject({ verdict: "undefined", note, unit: "%", value: null });
  });
});

describe("a ratio", () => {
  const [a, b] = [measure("a"), measure("b")];
  const two = (top: number, bottom: number) => [
    result("a", "left", top, "2026-03-05"),
    result("b", "left", bottom),
  ];

  it("is one measure over the other, dated by the older", () => {
    const seen = found(ratio(), [a, b], two(160, 200));
    expect(seen).toMatchObject({ value: 0.8, unit: "1", takenOn: "2026-03-05", verdict: "met-within-error" });
    expect(seen?.probability).toBeCloseTo(0.5, 12);
    expect([seen?.low95, seen?.high95]).toEqual([null, null]);
  });
  it("asked to be at most something, has the probability of the other side of the line", () => {
    const of = (comparison: ">=" | "<=") =>
      found(ratio({ comparison }), [a, b], two(164, 200))?.probability ?? Number.NaN;
    expect(of(">=")).toBeGreaterThan(0.5);
    expect(of(">=") + of("<=")).toBeCloseTo(1, 12);
  });
  it("knows no probability unless both errors are known", () => {
    const bare = measure("b", plain);
    expect(found(ratio(), [a, bare], two(160, 200))).toMatchObject({ verdict: "met", probability: null });
    expect(found(ratio(), [measure("a", plain), b], two(160, 200))).toMatchObject({
      verdict: "met",
      probability: null,
    });
    expect(found(ratio(), [a, b], two(0, 200))).toMatchObject({
      verdict: "not-met",
      value: 0,
      probability: null,
    });
  });
  it.each([
    ["without the top", [result("b", "left", 200)]],
    ["without the bottom", [result("a", "left", 160)]],
    ["over nought", two(160, 0)],
  ])("%s is missing", (_what, results) => {
    expect(found(ratio(), [a, b], results)).toMatchObject({ verdict: "missing", value: null, unit: "1" });
  });
});

describe("a share of the squeeze reference", () => {
  const squeeze = measure("a", { sides: "none" });

  it("stands against the best since the injury where nothing better is known, its error in per cent as well", () => {
    const results = [result("a", "none", 200, "2026-03-01"), result("a", "none", 188)];
    const seen = found(asked("of-reference"), [squeeze], results);
    expect(seen).toMatchObject({ value: 94, unit: "%", note: "own-best", takenOn: "2026-03-09" });
    // 4 N of 200 N are 2 %: (94 − 90)/2 standard errors.
    expect(seen?.probability).toBeCloseTo(normalCdf(2), 12);
  });
  it("is missing without a squeeze, and against a reference of nought", () => {
    const none = { verdict: "missing", value: null, unit: "%" };
    expect(found(asked("of-reference"), [squeeze], [])).toMatchObject(none);
    expect(found(asked("of-reference"), [squeeze], [result("a", "none", 0)])).toMatchObject(none);
    const before = { ...result("a", "none", 200), occasion: "pre-injury" as const };
    expect(found(asked("of-reference"), [squeeze], [before])).toMatchObject(none);
  });
});

describe("an effort within the pain school", () => {
  const rule: Criterion = { ...common, kind: "within-rule", exercise: "x", effortPercent: 70, closedDays: 2 };
  const effort = (date: string, over: Partial<EffortDay> = {}): EffortDay => ({
    exercise: "x",
    date,
    closed: true,
    withinRule: true,
    effortPercent: 70,
    ...over,
  });
  const of = (effortDays: EffortDay[]) => found(rule, [], [], { effortDays });

  it("counts closed days that reached it, by date", () => {
    expect(of([effort("2026-03-08"), effort("2026-03-05")])).toMatchObject({
      verdict: "met",
      value: 2,
      unit: "d",
      takenOn: "2026-03-08",
      comparison: ">=",
      threshold: 2,
    });
  });
  it.each([
    ["one beyond the rule", effort("2026-03-08", { withinRule: false })],
    ["one below the effort", effort("2026-03-08", { effortPercent: 69.9 })],
  ])("begins again after %s", (_what, second) => {
    const good = [effort("2026-03-04"), effort("2026-03-05")];
    expect(of([...good, second])).toMatchObject({ verdict: "not-met", value: 0, takenOn: null });
    expect(of([...good, second, effort("2026-03-09"), effort("2026-03-10")])).toMatchObject({
      verdict: "met",
      value: 2,
    });
  });
  it("is not met when an open day since is bad already", () => {
    const good = [effort("2026-03-05"), effort("2026-03-08")];
    const open = (withinRule: boolean) => effort("2026-03-09", { closed: false, withinRule });
    expect(of([...good, open(true)])?.verdict).toBe("met");
    expect(of([...good, open(false)])?.verdict).toBe("not-met");
  });
  it("old good days do not pass for ever: the last two, at most 14 days old", () => {
    expect(of([effort("2026-02-24"), effort("2026-02-25")])?.verdict).toBe("met");
    expect(of([effort("2026-02-23"), effort("2026-02-24")])?.verdict).toBe("stale");
  });
  it.each([
    ["the same day twice", effort("2026-03-05")],
    ["an open one", effort("2026-03-08", { closed: false })],
    ["another exercise", effort("2026-03-08", { exercise: "y" })],
  ])("does not count %s", (_what, second) => {
    expect(of([effort("2026-03-05"), second])).toMatchObject({
      verdict: "not-met",
      value: 1,
      takenOn: "2026-03-05",
    });
  });
  it("without any closed day is missing; with none that counts it is not met", () => {
    expect(of([])).toMatchObject({ verdict: "missing", value: null, takenOn: null, unit: "d" });
    expect(of([effort("2026-03-05", { withinRule: false })])).toMatchObject({
      verdict: "not-met",
      value: 0,
      takenOn: null,
    });
  });
});
