import type { TrendPoint, TrendView } from "~/contract/measures";
import { firstUninvolved } from "~/core/measure/early-reference";
import { standingResults, type Measure, type MeasureResult } from "~/core/measure/measure";
import { z95 } from "~/core/measure/minimal-detectable-change";
import { summariseDay } from "~/core/measure/side-value";
import { valueError } from "~/core/measure/value-error";
import { stageOf } from "~/core/pathway/pathway";
import { localDay } from "~/core/schedule/local-day";
import type { StaffContext } from "~/server/staff-context";
import { loadEpisode, noteRead } from "~/server/case/load-episode";
import { refused } from "~/server/http/problem";
import { measuresFor } from "./read-measures";

/** One measure of a patient over time, with error, thresholds, early reference, stages and sessions. */
export async function readTrend(staff: StaffContext, episodeId: string, code: string): Promise<TrendView> {
  const loaded = await loadEpisode(staff, episodeId);
  const { head, file } = loaded;
  const measure = measuresFor(file.measures).find((candidate) => candidate.code === code);
  if (!measure) throw refused([{ path: "measure", problem: "is not a measure of this clinic" }]);
  await noteRead(staff, episodeId, "read-trend");
  const own = standingResults(file.results).filter(
    (r) => r.measure === code && r.occasion === "since-injury",
  );
  const first = firstUninvolved(measure, file.episode.involvedSide, own, file.episode.surgeryOn);
  const stage = stageOf(file.pathway, loaded.review().stage);
  return {
    episodeId: head.id,
    measure,
    involvedSide: file.episode.involvedSide,
    points: (["left", "right", "none"] as const).flatMap((side) => pointsOf(measure, side, own)),
    thresholds: (stage.gate?.criteria ?? []).flatMap((criterion) => {
      if (!("measure" in criterion) || criterion.measure !== code) return [];
      if (criterion.kind !== "symmetry" && criterion.kind !== "value") return [];
      const side = criterion.kind === "symmetry" ? ("uninvolved-share" as const) : ("value" as const);
      return [{ name: criterion.name, value: criterion.threshold, side, source: criterion.source }];
    }),
    early: first ? { value: first.value, takenOn: first.takenOn, kind: first.kind } : null,
    stages: file.stageMoves.map((move) => ({
      name: file.pathway.stages.find((s) => s.code === move.stage)?.name ?? move.stage,
      on: localDay(move.at, file.zone),
    })),
    sessions: loaded.days().map((day) => day.date),
  };
}

/** One point for each day a side was taken on, oldest first. */
function pointsOf(
  measure: Measure,
  side: TrendPoint["side"],
  results: readonly MeasureResult[],
): TrendPoint[] {
  const byDay = new Map<string, MeasureResult[]>();
  for (const result of results) {
    if (result.side !== side) continue;
    byDay.set(result.takenOn, [...(byDay.get(result.takenOn) ?? []), result]);
  }
  let wayBefore: string | null = null;
  return [...byDay]
    .sort(([a], [b]) => a.localeCompare(b))
    .map(([takenOn, ofDay]) => {
      const error = valueError(measure, ofDay);
      const way = ofDay.find((r) => r.position !== undefined)?.position ?? null;
      const wayChanged = way !== null && wayBefore !== null && way !== wayBefore;
      wayBefore = way ?? wayBefore;
      return {
        side,
        takenOn,
        value: summariseDay(measure, ofDay),
        error95: error ? z95 * error.sem : null,
        trials: ofDay.reduce((sum, r) => sum + (r.trials?.length ?? 1), 0),
        way,
        wayChanged,
      };
    });
}
