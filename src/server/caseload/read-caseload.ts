import { unreadableState } from "~/core/caseload/caseload-state";
import { attentionCodes } from "~/core/caseload/attention";
import { engineVersion } from "~/core/decision/decide";
import type { CaseloadPage, CaseloadQuery, CaseloadRow } from "~/contract/clinic";
import { isUuid } from "~/core/schema/formats";
import { localDay } from "~/core/schedule/local-day";
import { now } from "~/server/clock";
import { expectedOn } from "~/server/day/expected-repository";
import { pool } from "~/server/db/connection";
import { refused } from "~/server/http/problem";
import type { StaffContext } from "~/server/staff-context";
import {
  countedTo,
  countPlaces,
  readPage,
  staleOf,
  type CaseloadEntry,
  type Place,
  type Wanted,
} from "./caseload-repository";
import { projectEpisodes } from "./project-caseload";

const pageSize = 40;
/** So many at most are worked out before a page is shown; where time alone has overtaken more, all of those are the sweeper's. */
const most = { written: 300, byTime: 20 };
const mostIds = 100;
const mostNamed = 60;
const mostExpected = 200;

/**
 * A page of the clinic's active episodes: a stop on top, whoever is expected today by the hour, then those who need somebody first.
 * What is kept is shown as it is; what a write has overtaken is worked out again before it is shown, and so is every row of the page:
 * none is ever older than the record. At midnight, when time overtakes a whole clinic at once, rows further down may for some
 * moments stand where they stood the day before.
 */
export async function readCaseload(staff: StaffContext, asked: CaseloadQuery = {}): Promise<CaseloadPage> {
  const at = now();
  await projectEpisodes(pool(), staff, await staleOf(pool(), staff.clinicId, at, most), at);
  const expected = await expectedOn(pool(), staff.clinicId, localDay(at, staff.zone));
  const times = new Map(expected.map(({ episodeId, time }) => [episodeId, { time }]));
  const { entries, next } = await entriesOf(staff, asked, [...times.keys()], at);
  const stale = entries.filter(({ state }) => state === null).map(({ identity }) => identity.episodeId);
  const fresh = await projectEpisodes(pool(), staff, stale, at);
  const rows = entries.map(({ identity, state }) => ({
    ...identity,
    expected: times.get(identity.episodeId) ?? null,
    // An episode that cannot even be loaded is named all the same.
    ...(state ?? fresh.get(identity.episodeId) ?? unreadableState(0, false)),
  }));
  const counts = await countPlaces(pool(), staff.clinicId, asked.held === undefined ? null : staff.staffId);
  return {
    rows: asked.after === undefined ? rows.sort(byTurn) : rows,
    next: next && inWords(next),
    count: [...counts.values()].reduce((sum, n) => sum + n, 0),
    counts: Object.fromEntries(counts),
    countedTo,
    expected: expected.length,
  };
}

async function entriesOf(
  { clinicId, staffId }: StaffContext,
  { only, held, name, today, ids, after }: CaseloadQuery,
  expected: readonly string[],
  at: string,
): Promise<{ entries: CaseloadEntry[]; next: Place | null }> {
  const heldBy = held === undefined ? undefined : staffId;
  const read = (wanted: Omit<Wanted, "only" | "heldBy">) =>
    readPage(pool(), clinicId, { only, heldBy, ...wanted }, at, engineVersion);
  const whole = async (wanted: Omit<Wanted, "only" | "heldBy">) => ({
    entries: await read(wanted),
    next: null,
  });
  if (ids !== undefined) return whole({ ids: idsOf(ids), most: mostIds });
  if (name !== undefined)
    return whole({ name, ...(today === undefined ? {} : { ids: expected }), most: mostNamed });
  if (today !== undefined) return whole({ ids: expected, most: mostExpected });
  const place = after === undefined ? undefined : placeOf(after);
  const others = await read({ after: place, without: expected, most: pageSize });
  const next = others.length === pageSize ? (others.at(-1)?.place ?? null) : null;
  if (place || expected.length === 0) return { entries: others, next };
  // Whoever is expected stands on the first page, wherever they stand in the order.
  return { entries: [...(await read({ ids: expected, most: mostExpected })), ...others], next };
}

/** Nobody who comes today stands before a stop; nobody who does not come stands before them. */
const turn = ({ attention, expected }: CaseloadRow): number =>
  attention === "stop" ? 0 : expected === null ? 2 : 1;

/** Who has no hour comes after those who have one. */
const byHour = (row: CaseloadRow): string => (turn(row) === 1 ? (row.expected?.time ?? "99:99") : "");

const ranks = new Map(attentionCodes.map((code, place) => [code, place]));
const rank = ({ attention }: CaseloadRow) => ranks.get(attention) ?? ranks.size;

const byTurn = (a: CaseloadRow, b: CaseloadRow): number =>
  turn(a) - turn(b) ||
  byHour(a).localeCompare(byHour(b)) ||
  rank(a) - rank(b) ||
  b.daysSinceOnset - a.daysSinceOnset;

const inWords = ({ place, onsetOn, episodeId }: Place): string => `${place}|${onsetOn}|${episodeId}`;

/** @throws ApiProblem 422 for a place that no page has named */
function placeOf(text: string): Place {
  const [place = "", onsetOn = "", episodeId = ""] = text.split("|");
  if (!/^\d{1,3}$/.test(place) || !/^\d{4}-\d\d-\d\d$/.test(onsetOn) || !isUuid(episodeId))
    throw refused([{ path: "/after", problem: "is no place in the list" }]);
  return { place: Number(place), onsetOn, episodeId };
}

/** @throws ApiProblem 422 where there is something else among them */
function idsOf(text: string): string[] {
  const ids = text.toLowerCase().split(",").slice(0, mostIds);
  if (!ids.every(isUuid)) throw refused([{ path: "/ids", problem: "are ids with commas between them" }]);
  return ids;
}
