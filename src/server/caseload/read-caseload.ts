import { unreadableState } from "~/core/caseload/caseload-state";
import { engineVersion } from "~/core/decision/decide";
import { attentionCodes } from "~/core/caseload/attention";
import { type CaseloadRow } from "~/contract/clinic";
import type { StaffContext } from "~/server/staff-context";
import { now } from "~/server/clock";
import { pool } from "~/server/db/connection";
import { readEntries } from "./caseload-repository";
import { projectEpisodes } from "./project-caseload";
import { keepSweeping } from "./sweep-caseload";

const ranks = new Map(attentionCodes.map((code, place) => [code, place]));
const rank = ({ attention }: CaseloadRow) => ranks.get(attention) ?? ranks.size;

const firstRows = 30;

/** The top of the caseload, with how many there are of each kind: what a page begins with. */
export async function readFirstCaseload(staff: StaffContext) {
  const rows = await readCaseload(staff);
  const counts: Partial<Record<CaseloadRow["attention"], number>> = {};
  for (const { attention } of rows) counts[attention] = (counts[attention] ?? 0) + 1;
  return { rows: rows.slice(0, firstRows), count: rows.length, counts };
}

/**
 * The clinic's active episodes, those who need somebody first on top. What is kept is shown as it is; what a write or time
 * has overtaken is computed again before it is shown, so the list is never older than the record.
 */
export async function readCaseload(staff: StaffContext): Promise<CaseloadRow[]> {
  keepSweeping();
  const at = now();
  const entries = await readEntries(pool(), staff.clinicId, at, engineVersion);
  const stale = entries.filter(({ state }) => state === null).map(({ identity }) => identity.episodeId);
  const fresh = await projectEpisodes(pool(), staff, stale, at);
  return entries
    .map(({ identity, state }) => ({
      ...identity,
      // An episode that cannot even be loaded is named all the same.
      ...(state ?? fresh.get(identity.episodeId) ?? unreadableState(0, false)),
    }))
    .sort((a, b) => rank(a) - rank(b) || b.daysSinceOnset - a.daysSinceOnset);
}
