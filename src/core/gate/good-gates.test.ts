import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { startingMeasures } from "~/catalogue/measures/all";
import { gateExample } from "~/core/calculation/examples";
import { goodGate, today } from "~tests/builders/good-gates";
import type { MeasureResult } from "~/core/measure/measure";
import { evaluateGate } from "./evaluate-gate";
import type { Criterion, EffortDay } from "./gate";
import type { GateInput } from "./gate-input";

type ValueCriterion = Extract<Criterion, { kind: "value" }>;

const samples = fc.sample(goodGate, { numRuns: 2_000, seed: 12 });
const judged = samples.map((sample) => ({ ...sample, result: evaluateGate(sample.input) }));
const share = (is: (one: (typeof judged)[number]) => boolean) =>
  (100 * judged.filter(is).length) / judged.length;

describe("gates that begin met reach what they are to test: at least one in twenty", () => {
  it.each([
    "met",
    "met-within-error",
    "not-met-within-error",
    "not-met",
    "missing",
    "stale",
    "undefined",
  ] as const)("verdict %s", (verdict) => {
    expect(share(({ result }) => result.criteria[0]?.verdict === verdict)).toBeGreaterThanOrEqual(5);
  });
  it("open and closed", () => {
    expect(share(({ result }) => result.outcome === "open")).toBeGreaterThanOrEqual(5);
    expect(share(({ result }) => result.outcome === "closed")).toBeGreaterThanOrEqual(5);
  });
  it("and each comes out as it was made, open only where it passes", () => {
    for (const { wanted, result } of judged) {
      expect(result.criteria[0]?.verdict).toBe(wanted);
      expect(result.outcome).toBe(wanted === "met" || wanted === "met-within-error" ? "open" : "closed");
    }
  });
});

const value = (over: Partial<ValueCriterion>): ValueCriterion => ({
  kind: "value",
  id: "one",
  name: "One",
  measure: "pain-worst",
  comparison: "<=",
  threshold: 2,
  maxAgeDays: 14,
  required: true,
  source: { kind: "common-practice" },
  ...over,
});
const result = (
  measure: string,
  side: MeasureResult["side"],
  number: number,
  takenOn = "2026-03-09",
): MeasureResult => ({
  id: `${measure} ${side} ${takenOn} ${number}`,
  measure,
  side,
  value: number,
  takenOn,
  occasion: "since-injury",
});
const gate = (criterion: Criterion, over: Partial<GateInput> = {}) =>
  evaluateGate({
    ...gateExample,
    gate: { minimumDaysInStage: 0, minimumDaysSinceOnset: 0, criteria: [criterion] },
    measures: [...startingMeasures],
    today,
    involvedSide: "left",
    effortDays: [],
    results: [],
    ...over,
  });

describe("both sides of every edge", () => {
  it.each([
    ["<=", 2, true],
    ["<=", 3, false],
    [">=", 2, true],
    [">=", 1, false],
  ] as const)("%s 2: %i passes %s", (comparison, number, passes) => {
    const [found] = gate(value({ comparison }), { results: [result("pain-worst", "none", number)] }).criteria;
    expect(found?.passes).toBe(passes);
  });

  it.each([
    ["2026-02-24", "open"],
    ["2026-02-23", "closed"],
  ])("a result of %s, fourteen days: %s", (takenOn, outcome) => {
    expect(gate(value({}), { results: [result("pain-worst", "none", 1, takenOn)] }).outcome).toBe(outcome);
  });

  const hop: Criterion = {
    ...value({ measure: "single-hop", comparison: ">=", threshold: 90 }),
    kind: "symmetry",
  };
  it.each([
    ["2026-03-09", "2026-02-24", "met"],
    ["2026-03-09", "2026-02-23", "stale"],
    ["2026-02-23", "2026-03-09", "stale"],
  ])("sides of %s and %s: %s, whichever is the old one", (left, right, verdict) => {
    const results = [result("single-hop", "left", 100, left), result("single-hop", "right", 100, right)];
    expect(gate(hop, { results }).criteria[0]?.verdict).toBe(verdict);
  });

  const held: Criterion = {
    kind: "within-rule",
    id: "held",
    name: "Held",
    exercise: "ball-squeeze",
    effortPercent: 70,
    closedDays: 2,
    required: true,
    source: { kind: "common-practice" },
  };
  const effort = (date: string, over: Partial<EffortDay> = {}): EffortDay => ({
    exercise: "ball-squeeze",
    date,
    closed: true,
    withinRule: true,
    effortPercent: 70,
    ...over,
  });
  it.each([
    ["two closed days at the effort", [effort("2026-03-06"), effort("2026-03-08")], "open"],
    ["one", [effort("2026-03-08")], "closed"],
    ["the same day twice", [effort("2026-03-08"), effort("2026-03-08")], "closed"],
    ["one of them still open", [effort("2026-03-06"), effort("2026-03-08", { closed: false })], "closed"],
    ["one a little below", [effort("2026-03-06"), effort("2026-03-08", { effortPercent: 69.9 })], "closed"],
    ["one outside the rule", [effort("2026-03-06"), effort("2026-03-08", { withinRule: false })], "closed"],
    ["one of another exercise", [effort("2026-03-06"), effort("2026-03-08", { exercise: "clam" })], "closed"],
  ])("%s: %s", (_what, effortDays, outcome) => {
    expect(gate(held, { effortDays }).outcome).toBe(outcome);
  });

  it.each([
    [20, 10, "open"],
    [21, 10, "closed"],
    [20, 11, "closed"],
  ])("at least %i days since, %i in the stage: %s", (minimumDaysSinceOnset, minimumDaysInStage, outcome) => {
    const criteria = [value({})];
    const timed = gate(value({}), {
      gate: { minimumDaysSinceOnset, minimumDaysInStage, criteria },
      onsetOn: "2026-02-18",
      stageEnteredOn: "2026-02-28",
      results: [result("pain-worst", "none", 1)],
    });
    expect(timed.outcome).toBe(outcome);
  });
});
