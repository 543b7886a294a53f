import { v5 as uuidOf } from "uuid";
import type { ImportBody } from "~/contract/measures";
import type { Measure } from "~/core/measure/measure";
import { guessColumns, type ColumnUse, type TableVisit } from "~/core/measure/results-table";
import { listOf, oneOfThese, parseKept, shape, text } from "~/islands/frame/kept-shape";

/** A use of a column as one text, for a list to choose from. */
export const codeOfUse = (use: ColumnUse): string =>
  use.kind === "value" ? `${use.measure} ${use.side}` : use.kind;

/** The use that was chosen, in the measure's own unit. */
export function columnUse(code: string, measures: ReadonlyMap<string, Measure>): ColumnUse {
  const [measure = "", side = ""] = code.split(" ");
  const known = measures.get(measure);
  if (code === "date") return { kind: "date" };
  if (!known) return { kind: "skip" };
  return { kind: "value", measure, side: side as "left" | "right" | "none", unit: known.unit };
}

const isUse = shape<{ kind: string; measure: string; side: string; unit: string }>({
  kind: oneOfThese("date", "value", "skip"),
  measure: text,
  side: text,
  unit: text,
});
const keyOf = (head: readonly string[]) => `table-columns-${head.join("\u001f")}`;

/** Keeps what the columns of a table were said to hold, for the next one with the same names. No value of anybody is kept. */
export function keepColumns(head: readonly string[], uses: readonly ColumnUse[]): void {
  const kept = uses.map((use) => ({ measure: "", side: "", unit: "", ...use }));
  localStorage.setItem(keyOf(head), JSON.stringify(kept));
}

/** What the columns hold: as somebody said it before, else as their names say it. */
export function columnsOf(head: readonly string[], measures: ReadonlyMap<string, Measure>): ColumnUse[] {
  const kept = parseKept(localStorage.getItem(keyOf(head)), listOf(isUse));
  if (kept?.length !== head.length) return guessColumns(head, [...measures.values()]);
  return kept.map((use) => {
    const { measure, side, unit } = use;
    const known = columnUse(use.kind === "value" ? `${measure} ${side}` : use.kind, measures);
    const units = measures.get(measure)?.entryUnits ?? [];
    return known.kind === "value" && units.some((one) => one.unit === unit) ? { ...known, unit } : known;
  });
}

/** The days of a table as they are sent; their ids follow from the file's, so that sending twice is harmless. */
export const toImport = (fileId: string, visits: readonly TableVisit[]): ImportBody => ({
  visits: visits.map(({ takenOn, results }) => ({
    id: uuidOf(takenOn, fileId),
    takenOn,
    results: results.map((result) => ({
      id: uuidOf(`${takenOn} ${result.measure} ${result.side}`, fileId),
      ...result,
    })),
  })),
});
