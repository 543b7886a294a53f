import fc from "fast-check";
import { startingMeasures } from "~/catalogue/measures/all";
import { gateExample } from "~/core/calculation/examples";
import type { Criterion, CriterionResult } from "~/core/gate/gate";
import type { GateInput } from "~/core/gate/gate-input";
import type { MeasureResult } from "~/core/measure/measure";
import { addDays } from "~/core/schedule/local-day";

export const today = "2026-03-10";
type Verdict = CriterionResult["verdict"];

export interface GoodGate {
  /** What the one criterion is made to come out as. */
  readonly wanted: Verdict;
  readonly input: GateInput;
}

const hop: Criterion = {
  kind: "symmetry",
  id: "hop",
  name: "Single hop against the other side",
  measure: "single-hop",
  comparison: ">=",
  threshold: 90,
  maxAgeDays: 14,
  required: true,
  source: { kind: "common-practice" },
};

/** Index, per cent, that comes out so: the published error of the hop's index is 3.48 % (MDC90 8.09 %, Reid 2007, recalled). */
const indices: Partial<Record<Verdict, [number, number]>> = {
  met: [97, 110],
  "met-within-error": [90, 95],
  "not-met-within-error": [85, 89],
  "not-met": [40, 83],
  stale: [97, 110],
};

const verdicts: readonly Verdict[] = [
  "met",
  "met",
  "met-within-error",
  "not-met-within-error",
  "not-met",
  "missing",
  "stale",
  "undefined",
];

/** Gates that somebody who is ready passes; then the one criterion is short, within its error, missing, old or without meaning. */
export const goodGate: fc.Arbitrary<GoodGate> = fc
  .record({
    wanted: fc.constantFrom(...verdicts),
    share: fc.double({ min: 0, max: 1, noNaN: true }),
    involved: fc.constantFrom("left" as const, "right" as const),
    age: fc.integer({ min: 0, max: 14 }),
    older: fc.integer({ min: 1, max: 60 }),
    oldSide: fc.constantFrom("involved", "other", "both"),
  })
  .map(({ wanted, share, involved, age, older, oldSide }): GoodGate => {
    const [low, high] = indices[wanted] ?? [97, 110];
    const other = involved === "left" ? "right" : "left";
    const taken = (side: "involved" | "other") =>
      addDays(today, -(wanted === "stale" && (oldSide === side || oldSide === "both") ? 14 + older : age));
    const result = (side: "left" | "right", value: number, takenOn: string): MeasureResult => ({
      id: `${side} ${takenOn}`,
      measure: hop.kind === "symmetry" ? hop.measure : "",
      side,
      value,
      takenOn,
      occasion: "since-injury",
    });
    const results = [
      result(involved, 1 * (low + (high - low) * share), taken("involved")),
      result(other, wanted === "undefined" ? 0 : 100, taken("other")),
    ];
    return {
      wanted,
      input: {
        ...gateExample,
        gate: { minimumDaysInStage: 0, minimumDaysSinceOnset: 0, criteria: [hop] },
        measures: [...startingMeasures],
        today,
        involvedSide: involved,
        effortDays: [],
        results: wanted === "missing" ? results.slice(1) : results,
      },
    };
  });
