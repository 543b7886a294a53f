import { parseEntry, type EntryFault } from "./parse-entry";
import type { Measure } from "./measure";
import type { TakenResult } from "./taken-result";

/** How the parts of a date stand in a file. */
export const dateOrders = ["ymd", "dmy", "mdy"] as const;
export type DateOrder = (typeof dateOrders)[number];

/** What a column of a table of results holds. */
export type ColumnUse =
  | { readonly kind: "date" }
  | {
      readonly kind: "value";
      readonly measure: string;
      readonly side: TakenResult["side"];
      readonly unit: string;
    }
  | { readonly kind: "skip" };

/** What is wrong with a cell: its row (from 0, without the head) and its column. */
export interface CellProblem {
  readonly row: number;
  readonly column: number;
  readonly problem: EntryFault | "no-date" | "to-come" | "twice" | "too-many" | "unusual";
}

/** Results of one day, as a table has them. */
export interface TableVisit {
  readonly takenOn: string;
  readonly results: TakenResult[];
}

export interface TableRead {
  readonly visits: readonly TableVisit[];
  readonly problems: readonly CellProblem[];
}

const mostTrials = 5;
const sideWords: readonly (readonly [TakenResult["side"], RegExp])[] = [
  ["left", /\b(left|l|links)\b/i],
  ["right", /\b(right|r|rechts)\b/i],
];
const plain = (text: string) =>
  text
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{N}]+/gu, " ")
    .trim();

const withoutBrackets = (text: string) => text.replaceAll(/[([][^)\]]*[)\]]/g, " ");

/**
 * What each column of a table may hold, by its name: a date, a measure by its name or code with a side and a unit, or nothing
 * known, which is left out.
 *
 * @param head names of the columns
 * @param measures that the clinic takes
 * @example guessColumns(["Date"], []) // [{ kind: "date" }]
 */
export function guessColumns(head: readonly string[], measures: readonly Measure[]): ColumnUse[] {
  const dateAt = head.findIndex((name) => /\b(date|day|datum|tag|taken)\b/i.test(name));
  return head.map((name, n): ColumnUse => {
    if (n === dateAt) return { kind: "date" };
    const unit = /[([]([^)\]]+)[)\]]/.exec(name)?.[1]?.trim() ?? "";
    const bare = plain(withoutBrackets(name).replaceAll("_", " "));
    const side = sideWords.find(([, word]) => word.test(bare))?.[0] ?? "none";
    const words = plain(sideWords.reduce((text, [, word]) => text.replace(word, " "), bare)).replace(
      /\s*\b(trial )?[1-5]$/,
      "",
    );
    const measure = measures.find(({ code, name: known }) =>
      [plain(code), plain(withoutBrackets(known))].includes(words),
    );
    if (!measure || (measure.sides === "none") !== (side === "none")) return { kind: "skip" };
    const known = measure.entryUnits?.find((one) => plain(one.unit) === plain(unit))?.unit;
    return { kind: "value", measure: measure.code, side, unit: known ?? measure.unit };
  });
}

/**
 * The orders in which the dates of a column can be read, the likeliest first; one only where a day above twelve tells. A date that
 * is none in any order decides nothing.
 *
 * @example possibleOrders(["13/02/2026"]) // ["dmy"]
 */
export function possibleOrders(dates: readonly string[]): DateOrder[] {
  const read = dateOrders.map((order) => dates.filter((text) => readDate(text, order) !== null).length);
  const most = Math.max(...read);
  return most === 0 ? [] : dateOrders.filter((_, n) => read[n] === most);
}

/**
 * A date as somebody wrote it, as a local date.
 *
 * @returns `YYYY-MM-DD`; null where it is no day
 * @example readDate("3.2.2026", "dmy") // "2026-02-03"
 */
export function readDate(text: string, order: DateOrder): string | null {
  const iso = /^\s*(\d{4})-(\d{2})-(\d{2})/.exec(text);
  const parts = iso ?? /^\s*(\d{1,4})[./\- ](\d{1,2})[./\- ](\d{1,4})\s*$/.exec(text);
  if (!parts) return null;
  const numbers = parts.slice(1).map(Number);
  const at = iso ? "ymd" : order;
  const part = (letter: string) => numbers[at.indexOf(letter)] ?? 0;
  const [year, month, day] = [part("y"), part("m"), part("d")];
  const made = new Date(Date.UTC(year, month - 1, day));
  if (year < 1900 || year > 2200 || made.getUTCMonth() !== month - 1 || made.getUTCDate() !== day)
    return null;
  return made.toISOString().slice(0, 10);
}

interface Reading {
  readonly uses: readonly ColumnUse[];
  readonly order: DateOrder;
  /** Of rows without a date. */
  readonly today: string;
  /** Somebody has said that unusual values are meant. */
  readonly meant: boolean;
}

/**
 * A table of results read: a row is a day, columns of one measure and side are its trials.
 *
 * @param rows cells without the head, as text
 * @returns visits by date, the oldest first, and every cell that cannot be taken. Nothing of a table with problems is recorded.
 * Source: our own; values by parseEntry.
 */
export function readResultsTable(
  rows: readonly (readonly string[])[],
  measures: ReadonlyMap<string, Measure>,
  { uses, order, today, meant }: Reading,
): TableRead {
  const dateAt = uses.findIndex(({ kind }) => kind === "date");
  const problems: CellProblem[] = [];
  const days = new Map<string, TakenResult[]>();
  rows.forEach((cells, row) => {
    if (cells.every((cell) => cell.trim() === "")) return;
    const takenOn = dateAt < 0 ? today : readDate(cells[dateAt] ?? "", order);
    const wrong =
      takenOn === null ? "no-date" : takenOn > today ? "to-come" : days.has(takenOn) ? "twice" : null;
    if (takenOn === null || wrong) {
      problems.push({ row, column: Math.max(0, dateAt), problem: wrong ?? "no-date" });
      return;
    }
    const results = new Map<string, TakenResult>();
    uses.forEach((use, column) => {
      const text = cells[column]?.trim() ?? "";
      if (use.kind !== "value" || text === "") return;
      const measure = measures.get(use.measure);
      if (!measure) return;
      const entry = parseEntry(text, measure, use.unit);
      if (!entry.ok) return problems.push({ row, column, problem: entry.fault });
      if (entry.unusual && !meant) return problems.push({ row, column, problem: "unusual" });
      const key = `${use.measure} ${use.side}`;
      const before = results.get(key);
      if ((before?.trials.length ?? 0) >= mostTrials)
        return problems.push({ row, column, problem: "too-many" });
      return results.set(key, {
        measure: use.measure,
        side: use.side,
        trials: [...(before?.trials ?? []), entry.value],
        ...(meant ? { confirmed: true } : {}),
      });
    });
    days.set(takenOn, [...results.values()]);
  });
  const visits = [...days]
    .filter(([, results]) => results.length > 0)
    .map(([takenOn, results]) => ({ takenOn, results }))
    .sort((a, b) => a.takenOn.localeCompare(b.takenOn));
  return { visits, problems };
}
