import type { TracesView } from "~/contract/measures";
import { standingResults } from "~/core/measure/measure";
import { loadEpisode, noteRead } from "~/server/case/load-episode";
import { pool } from "~/server/db/connection";
import { readLatestFacts } from "~/server/facts/sql";
import { traces as traceFacts } from "~/server/facts/traces";
import type { StaffContext } from "~/server/staff-context";

/** As many are drawn; older ones are in the person's file. */
const shownAtMost = 36;

/** What devices told while a measure was taken, of results that stand: the latest day first, side by side, trial by trial. */
export async function readTraces(
  staff: StaffContext,
  episodeId: string,
  measure: string,
): Promise<TracesView> {
  const { file } = await loadEpisode(staff, episodeId);
  await noteRead(staff, episodeId, "read-traces");
  const results = new Map(
    standingResults(file.results)
      .filter((result) => result.measure === measure)
      .map((result) => [result.id, result]),
  );
  const told = await readLatestFacts(pool(), traceFacts, staff.clinicId, episodeId, {
    field: "resultId",
    values: [...results.keys()],
    most: shownAtMost,
  });
  const traces = told.flatMap(({ resultId, recordedAt: _at, ...trace }) => {
    const result = results.get(resultId);
    if (!result) return [];
    const { takenOn, side, trials } = result;
    return [{ ...trace, takenOn, side, value: trials?.[trace.trial] ?? null }];
  });
  return {
    episodeId,
    traces: traces.sort(
      (a, b) => b.takenOn.localeCompare(a.takenOn) || a.side.localeCompare(b.side) || a.trial - b.trial,
    ),
  };
}
