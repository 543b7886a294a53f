import type { MeasureResult, ResultDetail } from "~/core/measure/measure";
import { date, id, instant, json, number, optional, text } from "./column";
import { fact } from "./fact";

/** One result of a measure on one side, with its trials. */
export const results = fact({
  table: "measure_results",
  columns: {
    id: id("id"),
    measure: text("measure"),
    side: text<MeasureResult["side"]>("side"),
    value: number("value"),
    takenOn: date("taken_on"),
    occasion: text<MeasureResult["occasion"]>("occasion"),
    position: optional(text("way")),
    visitId: optional(id("visit_id")),
    trials: optional(json<number[]>("trials")),
    detail: optional(json<ResultDetail>("detail")),
    supersedes: optional(id("supersedes")),
    recordedAt: instant("recorded_at"),
  },
  by: "recorded_by",
  order: ["taken_on", "recorded_at", "measure", "side", "id"],
  inCase: true,
  ofCase: (file) =>
    file.results.map(({ voided: _voided, ...result }) => ({
      ...result,
      recordedAt: result.recordedAt ?? `${result.takenOn}T10:00:00.000Z`,
    })),
});
