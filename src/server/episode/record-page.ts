import type { RecordEntry, RecordQuery } from "~/contract/record";

/** A piece of a record, newest first. */
export interface RecordPage {
  readonly entries: RecordEntry[];
  /** How many there are of each kind, whatever is asked for. */
  readonly counts: Record<string, number>;
  /** What asks for the entries after these; null at the end. */
  readonly next: string | null;
}

/**
 * The part of a record that is asked for. The next part is found by the instant of the last entry and by how many of that very instant
 * were seen, so that what comes in meanwhile shifts nothing.
 *
 * @param all newest first
 * @example recordPage([], {}) // { entries: [], counts: {}, next: null }
 */
export function recordPage(all: readonly RecordEntry[], { limit, after, only }: RecordQuery): RecordPage {
  const counts: Record<string, number> = {};
  for (const { kind } of all) counts[kind] = (counts[kind] ?? 0) + 1;
  const [before, seen] = after === undefined ? [undefined, 0] : cursor(after);
  let passed = 0;
  const rest = all.filter((entry) => {
    if (only !== undefined && entry.kind !== only) return false;
    if (before === undefined || entry.at < before) return true;
    return entry.at === before && (passed += 1) > seen;
  });
  const most = limit === undefined ? rest.length : Number(limit);
  const entries = rest.slice(0, most);
  if (rest.length <= most) return { entries, counts, next: null };
  const last = entries.at(-1)?.at ?? "";
  const alike = entries.filter(({ at }) => at === last).length + (last === before ? seen : 0);
  return { entries, counts, next: `${last} ${alike}` };
}

function cursor(after: string): readonly [before: string, seen: number] {
  const [before = "", seen = "0"] = after.split(" ");
  return [before, Number(seen)];
}
