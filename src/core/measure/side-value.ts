import { oneOf } from "~/core/schema/one-of";
import type { Static } from "@sinclair/typebox";
import type { Measure, MeasureResult } from "./measure";

export const InvolvedSide = oneOf(["left", "right", "both"], "The injured side");
export type InvolvedSide = Static<typeof InvolvedSide>;

/** A measure's value on one day. */
export interface DatedValue {
  readonly value: number;
  readonly takenOn: string;
}

/** The same with the results that made it. */
export interface DayValue extends DatedValue {
  readonly results: readonly MeasureResult[];
}

/** The latest value of a measure on a side since the injury; several results of one day become one. */
export function latestValue(
  measure: Measure,
  side: "left" | "right" | "none",
  results: readonly MeasureResult[],
): DayValue | null {
  const fitting = results.filter(
    (r) => r.measure === measure.code && r.side === side && r.occasion === "since-injury",
  );
  const takenOn = fitting
    .map((r) => r.takenOn)
    .sort()
    .at(-1);
  if (takenOn === undefined) return null;
  const ofDay = fitting.filter((r) => r.takenOn === takenOn);
  return { takenOn, value: summariseDay(measure, ofDay), results: ofDay };
}

/** The best value ever taken on a side since the injury. */
export function bestValue(
  measure: Measure,
  side: "left" | "right" | "none",
  results: readonly MeasureResult[],
): DatedValue | null {
  const fitting = results.filter(
    (r) => r.measure === measure.code && r.side === side && r.occasion === "since-injury",
  );
  const ordered = [...fitting].sort((a, b) =>
    measure.better === "higher" ? b.value - a.value : a.value - b.value,
  );
  return ordered[0] ? { value: ordered[0].value, takenOn: ordered[0].takenOn } : null;
}

/** Several results of one day as one value, by the measure's own rule. */
export function summariseDay(measure: Measure, results: readonly MeasureResult[]): number {
  return summariseTrials(
    measure,
    results.map((r) => r.value),
  );
}

/** Trials as one value: the best or worst by the measure's direction, the mean, or the last. */
export function summariseTrials(
  { better, summary }: Pick<Measure, "better" | "summary">,
  values: readonly number[],
): number {
  if (summary === "latest") return values.at(-1) ?? 0;
  if (summary === "mean") return values.reduce((sum, value) => sum + value, 0) / values.length;
  return (summary === "best") === (better === "higher") ? Math.max(...values) : Math.min(...values);
}

/** The leg that is not involved; null when both are. */
export function otherSide(involved: InvolvedSide): "left" | "right" | null {
  if (involved === "both") return null;
  return involved === "left" ? "right" : "left";
}
