import { unreadableState } from "~/core/caseload/caseload-state";
import { engineVersion } from "~/core/decision/decide";
import { attentionCodes } from "~/core/caseload/attention";
import { type CaseloadRow } from "~/contract/clinic";
import type { StaffContext } from "~/server/staff-context";
import { localDay } from "~/core/schedule/local-day";
import { now } from "~/server/clock";
import { expectedOn } from "~/server/day/expected-repository";
import { pool } from "~/server/db/connection";
import { readEntries } from "./caseload-repository";
import { projectEpisodes } from "./project-caseload";

const ranks = new Map(attentionCodes.map((code, place) => [code, place]));
const rank = ({ attention }: CaseloadRow) => ranks.get(attention) ?? ranks.size;

const firstRows = 30;

/** The top of the caseload, with how many there are of each kind: what a page begins with. */
export async function readFirstCaseload(staff: StaffContext) {
  const rows = await readCaseload(staff);
  const counts: Partial<Record<CaseloadRow["attention"], number>> = {};
  for (const { attention } of rows) counts[attention] = (counts[attention] ?? 0) + 1;
  // Whoever comes today is among them, however many have a stop.
  const upToToday = rows.findLastIndex((row) => row.expected !== null) + 1;
  return { rows: rows.slice(0, Math.max(firstRows, upToToday)), count: rows.length, counts };
}

/**
 * The clinic's active episodes: a stop on top, whoever is expected today by the hour, then those who need somebody first. What is
 * kept is shown as it is; what a write or time has overtaken is computed again before it is shown, so the list is never older than
 * the record.
 */
export async function readCaseload(staff: StaffContext): Promise<CaseloadRow[]> {
  const at = now();
  const entries = await readEntries(pool(), staff.clinicId, at, engineVersion);
  const stale = entries.filter(({ state }) => state === null).map(({ identity }) => identity.episodeId);
  const fresh = await projectEpisodes(pool(), staff, stale, at);
  const today = await expectedOn(pool(), staff.clinicId, localDay(at, staff.zone));
  const expected = new Map(today.map(({ episodeId, time }) => [episodeId, { time }]));
  return entries
    .map(({ identity, state }) => ({
      ...identity,
      expected: expected.get(identity.episodeId) ?? null,
      // An episode that cannot even be loaded is named all the same.
      ...(state ?? fresh.get(identity.episodeId) ?? unreadableState(0, false)),
    }))
    .sort(
      (a, b) =>
        turn(a) - turn(b) ||
        byHour(a).localeCompare(byHour(b)) ||
        rank(a) - rank(b) ||
        b.daysSinceOnset - a.daysSinceOnset,
    );
}

/** Nobody who comes today stands before a stop; nobody who does not come stands before them. */
const turn = ({ attention, expected }: CaseloadRow): number =>
  attention === "stop" ? 0 : expected === null ? 2 : 1;

/** Who has no hour comes after those who have one. */
const byHour = (row: CaseloadRow): string => (turn(row) === 1 ? (row.expected?.time ?? "99:99") : "");
