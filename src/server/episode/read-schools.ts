import { compareSchools, type SchoolComparison } from "~/core/review/compare-schools";
import { dayByDay, type DayByDay } from "~/core/review/day-by-day";
import { replayDecisions, type Replay } from "~/core/review/replay-decisions";
import type { StaffContext } from "~/server/staff-context";
import { notFound } from "~/server/http/problem";
import { loadEpisode, noteRead } from "~/server/case/load-episode";
import { inSlices } from "~/server/solve/in-slices";

/** One item's record judged by every pain school. @throws ApiProblem 404 for an item that is not in the plan */
export async function readSchools(
  staff: StaffContext,
  id: string,
  itemId: string,
): Promise<SchoolComparison> {
  const { file, book } = await loadEpisode(staff, id);
  await noteRead(staff, id, "read-schools");
  const comparison = await inSlices(compareSchools(file, itemId, book()));
  if (!comparison) throw notFound();
  return comparison;
}

/** Every signed proposal of an episode, made again from the record as it was known then. */
export async function readReplay(staff: StaffContext, id: string): Promise<Replay> {
  const { file, book } = await loadEpisode(staff, id);
  await noteRead(staff, id, "replay-decisions");
  return inSlices(replayDecisions(file, book()));
}

/**
 * The episode day by day: what was known, proposed and signed, and what came of it.
 *
 * @param from first local date wanted; the latest dates when null
 */
export async function readDays(staff: StaffContext, id: string, from: string | null): Promise<DayByDay> {
  const { file, book } = await loadEpisode(staff, id);
  await noteRead(staff, id, "read-days");
  return inSlices(dayByDay(file, from, book()));
}
