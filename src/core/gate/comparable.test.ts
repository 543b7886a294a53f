import { describe, expect, it } from "vitest";
import { startingMeasures } from "~/catalogue/measures/all";
import { gateExample } from "~/core/calculation/examples";
import type { Measure, MeasureResult } from "~/core/measure/measure";
import { asked, common, measure, plain, ratio, result } from "~tests/builders/criteria";
import { evaluateGate } from "./evaluate-gate";
import type { Criterion } from "./gate";
import type { GateInput } from "./gate-input";

/** What may be held against what, common practice: same way, near in time, after the operation, and two sides alike. */
const gateOf = (
  criterion: Criterion,
  results: MeasureResult[],
  over: Partial<GateInput> = {},
  measures: Measure[] = [measure("a", plain), measure("b", plain)],
) =>
  evaluateGate({
    ...gateExample,
    gate: { minimumDaysInStage: 0, minimumDaysSinceOnset: 0, criteria: [criterion] },
    today: "2026-03-20",
    involvedSide: "left",
    effortDays: [],
    measures,
    results,
    ...over,
  });
const found = (...args: Parameters<typeof gateOf>) => gateOf(...args).criteria[0];
const of = (
  side: "left" | "right",
  value: number,
  takenOn = "2026-03-19",
  position?: string,
): MeasureResult => ({
  ...result("a", side, value, takenOn),
  id: `${side} ${takenOn} ${position}`,
  ...(position === undefined ? {} : { position }),
});
const long = { maxAgeDays: 60 };

describe("an index of two sides", () => {
  it("is none when one was taken by belt and the other by hand (133 %)", () => {
    const seen = found(asked("symmetry"), [
      of("left", 200, "2026-03-19", "belt"),
      of("right", 150, "2026-03-19", "hand"),
    ]);
    expect(seen).toMatchObject({ verdict: "undefined", note: "not-comparable", value: null, passes: false });
  });
  it("takes the latest value of the other side that was taken in the same way", () => {
    const results = [
      of("left", 90, "2026-03-19", "belt"),
      of("right", 60, "2026-03-19", "hand"),
      of("right", 100, "2026-03-12", "belt"),
    ];
    expect(found(asked("symmetry"), results)).toMatchObject({
      value: 90,
      takenOn: "2026-03-12",
      passes: true,
    });
  });
  it("lies at most 14 days apart", () => {
    const apart = (takenOn: string) =>
      found(asked("symmetry", long), [of("left", 95), of("right", 100, takenOn)])?.note;
    expect([apart("2026-03-05"), apart("2026-03-04")]).toEqual(["other-side", "not-comparable"]);
  });
  it("that is not comparable is asked for again", () => {
    const gate = gateOf(asked("symmetry", long), [of("left", 95), of("right", 100, "2026-02-01")]);
    expect(gate.measureNext.map((next) => next.measure)).toEqual(["a"]);
  });
  it("above 115 % passes only with a clinician's word on the other side, and only until something newer is measured", () => {
    const at = (left: number, over: Partial<GateInput> = {}) =>
      found(asked("symmetry"), [of("left", left), of("right", 100)], over);
    expect(at(115)).toMatchObject({ passes: true, note: "other-side" });
    expect(at(116)).toMatchObject({
      passes: false,
      verdict: "undefined",
      note: "above-115",
      value: expect.closeTo(116, 9),
    });
    expect(at(167)?.passes).toBe(false);
    const word = (on: string) => ({ words: [{ criterion: "c", on }] });
    expect(at(167, word("2026-03-19"))).toMatchObject({
      passes: true,
      note: "clinician-word",
      takenOn: "2026-03-19",
    });
    expect(at(167, word("2026-03-18"))?.passes).toBe(false);
    expect(at(167, { words: [{ criterion: "another", on: "2026-03-19" }] })?.passes).toBe(false);
  });
  it("a word decides nothing that numbers can decide", () => {
    const words = { words: [{ criterion: "c", on: "2026-03-20" }] };
    expect(found(asked("symmetry"), [of("left", 50), of("right", 100)], words)?.passes).toBe(false);
    expect(found(asked("value"), [], words)?.passes).toBe(false);
  });
});

describe("both sides hurt", () => {
  const both = { involvedSide: "both" as const };
  it("an index is judged by a clinician in writing, for as long as a value would be fresh", () => {
    expect(found(asked("symmetry"), [of("left", 90), of("right", 100)], both)?.passes).toBe(false);
    const on = (date: string) =>
      found(asked("symmetry"), [], { ...both, words: [{ criterion: "c", on: date }] })?.passes;
    expect([on("2026-03-06"), on("2026-03-05")]).toEqual([true, false]);
  });
  it("'within so many per cent of each other' needs no involved side, and is two-sided", () => {
    const alike = asked("symmetry", { twoSided: true });
    const at = (left: number, right: number, side: GateInput["involvedSide"]) =>
      found(alike, [of("left", left), of("right", right)], { involvedSide: side });
    for (const side of ["both", "left", "right"] as const) {
      expect([side, at(90, 100, side)?.passes, at(100, 90, side)?.passes]).toEqual([side, true, true]);
      expect([side, at(89, 100, side)?.passes, at(100, 89, side)?.passes]).toEqual([side, false, false]);
    }
  });
});

describe("after an operation or an injury anew", () => {
  const surgery = { surgeryOn: "2026-03-10" };
  it("only later values count", () => {
    expect(found(asked("value"), [of("left", 99, "2026-03-09")], surgery)?.verdict).toBe("missing");
    expect(found(asked("value"), [of("left", 99, "2026-03-10")], surgery)?.verdict).toBe("missing");
    expect(found(asked("value"), [of("left", 99, "2026-03-11")], surgery)?.verdict).toBe("met");
    expect(
      found(asked("value"), [of("left", 99, "2026-03-09")], { reinjuredOn: "2026-03-10" })?.verdict,
    ).toBe("missing");
  });
  it("a planned date is not an operation", () => {
    expect(found(asked("value"), [of("left", 99)], { surgeryOn: "2026-04-01" })?.verdict).toBe("met");
  });
  it("what was before it is the early reference", () => {
    const results = [of("right", 120, "2026-03-01"), of("right", 100), of("left", 96)];
    expect(found(asked("symmetry"), results, surgery)).toMatchObject({
      value: 96,
      early: { percent: 80, kind: "before-surgery" },
    });
  });
});

describe("values held back because the muscle hurt", () => {
  it("pass no strength criterion, and the gate says so", () => {
    const held = { ...of("left", 99), detail: { submaximal: true } };
    expect(found(asked("value"), [held])).toMatchObject({ verdict: "missing", note: "sub-maximal" });
    expect(found(asked("value"), [held, of("left", 95)])?.value).toBe(95);
  });
});

describe("further kinds of criteria", () => {
  it("a ratio of values more than 14 days apart is none", () => {
    const at = (takenOn: string) =>
      found(ratio(long), [of("left", 160, takenOn), { ...result("b", "left", 200, "2026-03-19") }])?.note;
    expect([at("2026-03-05"), at("2026-03-04")]).toEqual([null, "not-comparable"]);
  });
  it("a difference is asked in the measure's unit, whichever side is the better one", () => {
    const apart: Criterion = {
      ...common,
      kind: "difference",
      measure: "a",
      comparison: "<=",
      threshold: 10,
      maxAgeDays: 14,
    };
    const at = (left: number, right: number) => found(apart, [of("left", left), of("right", right)]);
    expect(at(30, 20)).toMatchObject({ value: 10, unit: "N", passes: true });
    expect([at(20, 30)?.passes, at(31, 20)?.passes, at(20, 31)?.passes]).toEqual([true, false, false]);
    expect(found(apart, [of("left", 30)])?.note).toBe("needs-the-other-side");
    expect(found(apart, [])?.verdict).toBe("missing");
  });
  it("a change counts from the first value since the injury or the operation", () => {
    const risen: Criterion = {
      ...common,
      kind: "change",
      measure: "a",
      comparison: ">=",
      threshold: 10,
      maxAgeDays: 14,
    };
    const score = [measure("a", { ...plain, sides: "none" })];
    const taken = (value: number, takenOn: string) => ({ ...result("a", "none", value, takenOn) });
    const at = (...results: MeasureResult[]) => found(risen, results, {}, score);
    expect(at(taken(60, "2026-02-01"), taken(65, "2026-03-01"), taken(70, "2026-03-19"))).toMatchObject({
      value: 10,
      passes: true,
      note: "since-the-first",
    });
    expect(at(taken(60, "2026-02-01"), taken(69, "2026-03-19"))?.passes).toBe(false);
    expect(at(taken(90, "2026-03-19"))).toMatchObject({ verdict: "missing", note: "needs-a-later-value" });
    expect(at()?.verdict).toBe("missing");
  });
  it("the composite is the sum of three reaches over three leg lengths: (65 + 100 + 95)/(3 × 90) = 96.3 %", () => {
    const reach: Criterion = {
      ...common,
      kind: "reach-composite",
      front: "reach-front",
      backInside: "reach-back-inside",
      backOutside: "reach-back-outside",
      legLength: "leg-length",
      comparison: ">=",
      threshold: 94,
      maxAgeDays: 14,
    };
    const values = {
      "reach-front": 65,
      "reach-back-inside": 100,
      "reach-back-outside": 95,
      "leg-length": 90,
    };
    const results = Object.entries(values).map(([code, value]) => result(code, "left", value, "2026-03-19"));
    const seen = found(reach, results, {}, [...startingMeasures]);
    expect(seen).toMatchObject({ passes: true, unit: "%" });
    expect(seen?.value).toBeCloseTo(96.296, 3);
    expect(found(reach, results.slice(1), {}, [...startingMeasures])?.verdict).toBe("missing");
    const old = results.map((r) => (r.measure === "reach-front" ? { ...r, takenOn: "2026-03-01" } : r));
    expect(found(reach, old, {}, [...startingMeasures])?.note).toBe("not-comparable");
  });
  it("chair stands are asked by age and group (CDC STEADI, recalled): a woman of 72 needs 10, a man 12", () => {
    const stands: Criterion = { ...common, kind: "chair-stand", measure: "chair-stand-30s", maxAgeDays: 14 };
    const at = (value: number, person: GateInput["person"]) =>
      found(stands, [result("chair-stand-30s", "none", value, "2026-03-19")], person ? { person } : {}, [
        ...startingMeasures,
      ]);
    expect(at(10, { ageYears: 72, normGroup: "female" })).toMatchObject({
      passes: true,
      threshold: 10,
      note: "age-band",
    });
    expect(at(11, { ageYears: 72, normGroup: "male" })).toMatchObject({ passes: false, threshold: 12 });
    for (const unknown of [undefined, { ageYears: 72 }, { ageYears: 50, normGroup: "male" as const }])
      expect(at(20, unknown)).toMatchObject({ verdict: "undefined", note: "norm-unknown", passes: false });
  });
});

describe("what to measure next", () => {
  it("asks for no test that a limit bars, and says which limit", () => {
    const gate = gateOf(asked("symmetry"), [], {
      barred: [{ measure: "a", says: "no jumps before week 12" }],
    });
    expect(gate.measureNext).toEqual([]);
    expect(gate.barred).toEqual([{ measure: "a", says: "no jumps before week 12" }]);
  });
  it("what may provoke comes last of a battery, however little it costs", () => {
    const criteria = ["a", "b"].map((code) => ({
      ...asked("value"),
      id: code,
      measure: code,
    })) as Criterion[];
    const measures = [measure("a", { last: true, minutes: 1 }), measure("b", { minutes: 30 })];
    const gate = evaluateGate({
      ...gateExample,
      gate: { minimumDaysInStage: 0, minimumDaysSinceOnset: 0, criteria },
      effortDays: [],
      measures,
      results: [],
    });
    expect(gate.measureNext.map((next) => next.measure)).toEqual(["b", "a"]);
  });
});

it("an open stop signal closes a gate that everything else opens", () => {
  const results = [of("left", 99)];
  expect(gateOf(asked("value"), results).outcome).toBe("open");
  expect(gateOf(asked("value"), results, { halts: ["calf-hot"] })).toMatchObject({
    outcome: "closed",
    rule: "gate-stop",
    halts: ["calf-hot"],
  });
});
