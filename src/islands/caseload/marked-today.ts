import type { CaseloadRow } from "~/contract/clinic";
import type { DayFileView, ExpectedBody } from "~/contract/day";

/** Who is ticked for today, with the hour where one is known. */
export type Marked = ReadonlyMap<string, string | null>;

/** Those whom an entry of the file names alone; of several entries the first one tells the hour. */
export function foundIn({ entries }: Pick<DayFileView, "entries">): Map<string, string | null> {
  const found = new Map<string, string | null>();
  for (const { time, episodeIds } of entries) {
    const [only, ...others] = episodeIds;
    if (only !== undefined && others.length === 0 && !found.has(only)) found.set(only, time);
  }
  return found;
}

/** What changes: who is ticked now or has another hour, and who is ticked no more. */
export function markedChanges(
  rows: readonly Pick<CaseloadRow, "episodeId" | "expected">[],
  marked: Marked,
): ExpectedBody {
  const before = new Map(
    rows.flatMap(({ episodeId, expected }) => (expected ? [[episodeId, expected.time]] : [])),
  );
  return {
    on: [...marked].flatMap(([episodeId, time]) =>
      before.has(episodeId) && before.get(episodeId) === time ? [] : [{ episodeId, time }],
    ),
    off: [...before.keys()].filter((id) => !marked.has(id)),
  };
}
