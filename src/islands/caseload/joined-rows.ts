import type { CaseloadRow } from "~/contract/clinic";

/** Rows with others after them; a row that comes twice stands where it came first. */
export function joinedRows(rows: readonly CaseloadRow[], more: readonly CaseloadRow[]): CaseloadRow[] {
  const known = new Set(rows.map(({ episodeId }) => episodeId));
  return [...rows, ...more.filter(({ episodeId }) => !known.has(episodeId))];
}
