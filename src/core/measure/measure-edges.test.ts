import { describe, expect, it } from "vitest";
import { measureByCode } from "~/catalogue/measures/all";
import { firstUninvolved } from "./early-reference";
import type { Measure, MeasureResult } from "./measure";
import { measureStatus } from "./measure-status";
import { checkValue, parseEntry } from "./parse-entry";
import { bestValue, latestValue, summariseTrials } from "./side-value";
import { squeezeReference } from "./squeeze-reference";
import { symmetryError, valueError } from "./value-error";

// A measure with one thing of each kind, and results that differ from it in one thing each: every part of every rule counts.
const { errors: _errors, ...plain } = measureByCode("knee-extension-force");
const force: Measure = { ...plain, code: "force", summary: "best", better: "higher" };
const pain: Measure = { ...plain, code: "ache", summary: "worst", better: "lower" };
let made = 0;
const result = (value: number, takenOn: string, more: Partial<MeasureResult> = {}): MeasureResult => ({
  id: `e${(made += 1)}`,
  measure: "force",
  side: "left",
  value,
  takenOn,
  occasion: "since-injury",
  ...more,
});
const strangers = [
  result(900, "2026-03-09", { measure: "another" }),
  result(901, "2026-03-09", { side: "right" }),
  result(902, "2026-03-09", { occasion: "pre-injury" }),
];

describe("values of a side", () => {
  const own = [result(200, "2026-03-01"), result(180, "2026-03-05"), result(150, "2026-03-03")];

  it("the latest by date, not by place in the list; another measure, side or occasion is not looked at", () => {
    expect(latestValue(force, "left", [...strangers, ...own])).toMatchObject({
      value: 180,
      takenOn: "2026-03-05",
    });
    expect(latestValue(force, "left", [own[1], own[0], own[2]] as MeasureResult[])?.takenOn).toBe(
      "2026-03-05",
    );
    expect(latestValue(force, "left", strangers)).toBeNull();
    expect(latestValue(force, "left", own)?.results.map(({ value }) => value)).toEqual([180]);
  });

  it("the best by the measure's direction, with its day; strangers are not the best", () => {
    expect(bestValue(force, "left", [...strangers, ...own])).toEqual({ value: 200, takenOn: "2026-03-01" });
    expect(bestValue(force, "left", [...own].reverse())).toEqual({ value: 200, takenOn: "2026-03-01" });
    const aches = own.map((one) => ({ ...one, measure: "ache" }));
    expect(bestValue(pain, "left", aches)).toEqual({ value: 150, takenOn: "2026-03-03" });
    expect(bestValue(force, "left", strangers)).toBeNull();
  });

  it.each([
    ["best", "higher", 9],
    ["best", "lower", 3],
    ["worst", "higher", 3],
    ["worst", "lower", 9],
    ["mean", "higher", 6],
    ["latest", "higher", 6],
  ] as const)("trials 9, 3, 6: the %s where %s is better is %s", (summary, better, value) =>
    expect(summariseTrials({ summary, better }, [9, 3, 6])).toBe(value),
  );

  it("the latest of no trial is nothing", () =>
    expect(summariseTrials({ summary: "latest", better: "higher" }, [])).toBe(0));
});

describe("the first value of the other side", () => {
  const right = (value: number, on: string) => result(value, on, { side: "right" });
  const others = [right(300, "2026-01-20"), right(280, "2026-01-10"), right(350, "2026-02-20")];

  it("is its earliest day, of this measure, this side, since the injury", () => {
    const noise = [
      right(1, "2025-01-01"),
      result(2, "2025-01-01"),
      { ...right(3, "2025-01-01"), occasion: "clinic-norm" as const },
    ];
    const [another, ...rest] = noise as [MeasureResult, ...MeasureResult[]];
    expect(
      firstUninvolved(force, "left", [...others, { ...another, measure: "another" }, ...rest], undefined),
    ).toEqual({ value: 280, takenOn: "2026-01-10", kind: "earliest-after" });
    expect(firstUninvolved(force, "left", [], undefined)).toBeNull();
    expect(firstUninvolved(force, "both", others, undefined)).toBeNull();
  });

  it("is from before surgery only when it was taken before that day", () => {
    const kind = (surgeryOn: string) => firstUninvolved(force, "left", others, surgeryOn)?.kind;
    expect([kind("2026-01-11"), kind("2026-01-10"), kind("2026-01-09")]).toEqual([
      "before-surgery",
      "earliest-after",
      "earliest-after",
    ]);
  });
});

describe("errors of a value", () => {
  const published: Measure = {
    ...force,
    errors: [
      { of: "symmetry", kind: "sem", amount: 3, source: plain.source },
      { of: "value", kind: "sem", amount: 12, source: plain.source },
    ],
  };

  it("a published one of the value before the scatter; that of an index is the index's", () => {
    expect(valueError(published, [])).toEqual({ sem: 12, from: "published" });
    expect(symmetryError(published)).toBe(3);
    expect(symmetryError(force)).toBeNull();
    expect(symmetryError({ ...published, errors: published.errors?.slice(1) })).toBeNull();
  });

  it("else the scatter of three trials or more, of the last five; none of two, of equal ones, or of nothing", () => {
    const tried = (...trials: number[]) => valueError(force, [result(1, "2026-03-01", { trials })]);
    expect(tried(100, 110, 120)?.sem).toBeCloseTo(10 / Math.sqrt(3), 10);
    expect(tried(100, 110)).toBeNull();
    expect(tried(100, 100, 100)).toBeNull();
    expect(valueError(force, [result(1, "2026-03-01")])).toBeNull();
    const many = [
      result(1, "2026-03-01", { trials: [500, 1, 500] }),
      result(1, "2026-03-01", { trials: [100, 100, 110, 120, 120] }),
    ];
    expect(valueError(force, many)?.sem).toBeCloseTo(10 / Math.sqrt(5), 10);
  });
});

describe("where a measure stands", () => {
  it("left and right involved, and the index of each", () => {
    const both = [result(80, "2026-03-01"), result(100, "2026-03-01", { side: "right" })];
    expect(measureStatus(force, both, "left", undefined).lsiPercent).toBe(80);
    expect(measureStatus(force, both, "right", undefined).lsiPercent).toBe(125);
    expect(measureStatus(force, both, "both", undefined)).toMatchObject({ lsiPercent: null, early: null });
  });

  it("no index by a side that is zero, whichever divides", () => {
    const zero = [result(80, "2026-03-01"), result(0, "2026-03-01", { side: "right" })];
    expect(measureStatus(force, zero, "left", undefined)).toMatchObject({ lsiPercent: null, early: null });
    const aches = zero.map((one) => ({ ...one, measure: "ache" }));
    expect(measureStatus(pain, aches, "left", undefined).lsiPercent).toBe(0);
    expect(measureStatus(pain, aches, "right", undefined).lsiPercent).toBeNull();
  });

  it("another measure's results and corrected ones do not stand", () => {
    const wrong = result(999, "2026-03-02");
    const right = result(90, "2026-03-02", { supersedes: wrong.id });
    const status = measureStatus(force, [wrong, right, ...strangers], "left", undefined);
    expect(status.left).toMatchObject({
      value: 90,
      change: null,
      real: null,
      mdc95: null,
      wayChanged: false,
    });
  });

  it("a way that changed is said, one that was never told is not", () => {
    const way = (before: string | undefined, after: string | undefined) =>
      measureStatus(
        force,
        [
          result(90, "2026-03-01", before === undefined ? {} : { position: before }),
          result(95, "2026-03-05", after === undefined ? {} : { position: after }),
        ],
        "left",
        undefined,
      ).left?.wayChanged;
    expect([
      way("belt", "hand"),
      way("belt", "belt"),
      way(undefined, "hand"),
      way("belt", undefined),
    ]).toEqual([true, false, false, false]);
  });
});

describe("the squeeze's reference", () => {
  const squeeze: Measure = { ...force, code: "squeeze", sides: "none" };
  const of = (value: number, takenOn: string, occasion: MeasureResult["occasion"], measure = "squeeze") =>
    result(value, takenOn, { measure, occasion, side: "none" });

  it("is the latest of its kind, of this measure", () => {
    const results = [
      of(200, "2025-06-01", "pre-injury"),
      of(180, "2025-03-01", "pre-injury"),
      of(999, "2025-09-01", "pre-injury", "another"),
    ];
    expect(squeezeReference(squeeze, results)).toEqual({
      valueN: 200,
      kind: "pre-injury",
      takenOn: "2025-06-01",
    });
    expect(squeezeReference(squeeze, [...results].reverse())?.valueN).toBe(200);
    expect(squeezeReference(squeeze, [of(999, "2025-09-01", "pre-injury", "another")])).toBeNull();
  });
});

describe("typed entries at their edges", () => {
  const limited: Measure = {
    ...force,
    plausible: { low: 0, high: 100 },
    usual: { low: 10, high: 90 },
    whole: false,
  };

  it.each([
    [0, true],
    [9.9, true],
    [10, false],
    [90, false],
    [90.1, true],
    [100, true],
  ])("%s is possible, and unusual: %s", (value, unusual) =>
    expect(checkValue(value, limited)).toEqual({ ok: true, value, unusual }),
  );
  it.each([
    [-0.1, "too-low"],
    [100.1, "too-high"],
    [Infinity, "not-a-number"],
    [NaN, "not-a-number"],
  ] as const)("%s is %s", (value, fault) => expect(checkValue(value, limited)).toEqual({ ok: false, fault }));

  it("without a usual range nothing is unusual", () => {
    const { usual: _usual, ...anything } = limited;
    expect(checkValue(1, anything)).toEqual({ ok: true, value: 1, unusual: false });
  });
  it("two decimals and more are read whole, a sign too", () => {
    expect(parseEntry("+12.34", limited)).toMatchObject({ value: 12.34 });
    expect(parseEntry("12,345", limited)).toMatchObject({ value: 12.345 });
  });
  it("the first of the measure's words is its grade 0", () => {
    const grades = measureByCode("effusion");
    expect(parseEntry(grades.grades?.[0] ?? "", grades)).toMatchObject({ ok: true, value: 0 });
  });
});
