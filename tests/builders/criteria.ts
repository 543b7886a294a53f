import { gateExample } from "~/core/calculation/examples";
import type { Criterion } from "~/core/gate/gate";
import type { Measure, MeasureResult } from "~/core/measure/measure";

type Side = MeasureResult["side"];

/** A measure with a published standard error of 4 of its value, or with the error that is given. */
export const measure = (code: string, over: Partial<Measure> = {}): Measure => ({
  ...(gateExample.measures[0] as Measure),
  code,
  unit: "N",
  sides: "each",
  better: "higher",
  errors: [{ of: "value", kind: "sem", amount: 4, source: { kind: "common-practice" } }],
  ...over,
});
/** Spread over a measure: no error of it is known. */
export const plain = { errors: undefined } as unknown as Partial<Measure>;
export const result = (code: string, side: Side, value: number, takenOn = "2026-03-09"): MeasureResult => ({
  id: `${code} ${side} ${takenOn}`,
  measure: code,
  side,
  value,
  takenOn,
  occasion: "since-injury",
});
export const common = { id: "c", name: "C", required: true, source: { kind: "common-practice" as const } };
export const asked = (kind: "value" | "symmetry" | "of-reference", over: object = {}): Criterion => ({
  ...common,
  kind,
  measure: "a",
  comparison: ">=",
  threshold: 90,
  maxAgeDays: 14,
  ...over,
});
export const ratio = (over: object = {}): Criterion => ({
  ...common,
  kind: "ratio",
  measure: "a",
  over: "b",
  comparison: ">=",
  threshold: 0.8,
  maxAgeDays: 14,
  ...over,
});
