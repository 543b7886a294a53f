import { ways } from "~/messages/ways";
import { v5 as uuidOf } from "uuid";
import type { VisitBody } from "~/contract/measures";
import type { KeptTrace } from "~/core/device/pack-trace";
import type { Measure, ResultDetail } from "~/core/measure/measure";
import { parseEntry, type EntryFault } from "~/core/measure/parse-entry";
import type { TakenResult } from "~/core/measure/taken-result";
import { t } from "~/messages/say";
import { trialSummary } from "~/core/measure/trial-summary";

export type Side = "left" | "right" | "none";

/** What was typed for one measure on one side, as typed. */
export interface SideEntry {
  readonly trials: readonly string[];
  readonly limit?: NonNullable<ResultDetail["limit"]>;
  readonly marks?: readonly string[];
  /** What a device told of each trial; null where somebody typed it. */
  readonly traces?: readonly (KeptTrace | null)[];
}

/** One line of the grid. */
export interface RowEntry {
  readonly unit: string;
  readonly way: string;
  readonly meant: boolean;
  /** A force held back because the muscle hurt. */
  readonly submaximal?: boolean;
  /** Lever arm of a force as typed, centimetres. */
  readonly leverCm?: string;
  readonly sides: Readonly<Partial<Record<Side, SideEntry>>>;
}

/** Everything typed in a visit so far; what is kept when the page is left. */
export interface VisitDraft {
  /** Made with the draft and kept with it, so that a visit is recorded once however often it is sent. */
  readonly id: string;
  readonly takenOn: string;
  readonly codes: readonly string[];
  readonly rows: Readonly<Record<string, RowEntry>>;
}

/** The unit that somebody types a measure in: as they read weights and lengths, where it can be. */
function unitTyped({ unit, entryUnits = [] }: Measure): string {
  const { weight, length } = ways();
  const liked =
    weight === "lb" && unit === "kg" ? "[lb_av]" : length === "in" && unit === "cm" ? "[in_i]" : unit;
  return entryUnits.some((one) => one.unit === liked) ? liked : unit;
}

export const emptyRow = (measure: Measure): RowEntry => ({
  unit: unitTyped(measure),
  way: measure.ways?.[0] ?? "",
  meant: false,
  sides: {},
});

export const sidesOfMeasure = (measure: Measure): readonly Side[] =>
  measure.sides === "none" ? ["none"] : ["left", "right"];

export const trialsOf = (measure: Measure): number => measure.trials ?? 1;

/** How one side's typed trials read. */
export interface SideReading {
  readonly values: readonly number[];
  readonly faults: readonly (EntryFault | null)[];
  readonly unusual: boolean;
  readonly value: number | null;
  readonly cvPercent: number | null;
  readonly repeat: boolean;
}

/** Reads one side of a row; empty cells are left out. */
export function readSide(measure: Measure, row: RowEntry, side: Side): SideReading {
  const typed = row.sides[side]?.trials ?? [];
  const entries = typed.map((text) => (text.trim() === "" ? null : parseEntry(text, measure, row.unit)));
  const values = entries.flatMap((entry) => (entry?.ok ? [entry.value] : []));
  const summary =
    values.length > 0
      ? trialSummary({ trials: values, summary: measure.summary, better: measure.better })
      : null;
  return {
    values,
    faults: entries.map((entry) => (entry && !entry.ok ? entry.fault : null)),
    unusual: entries.some((entry) => entry?.ok && entry.unusual),
    value: summary?.value ?? null,
    cvPercent: summary?.cvPercent ?? null,
    repeat: summary?.repeat ?? false,
  };
}

/** What still stands in the way of recording; empty when the visit can be sent. */
export function draftFaults(
  draft: Pick<VisitDraft, "codes" | "rows">,
  measures: ReadonlyMap<string, Measure>,
): string[] {
  return draft.codes.flatMap((code) => {
    const [measure, row] = [measures.get(code), draft.rows[code]];
    if (!measure || !row) return [];
    const readings = sidesOfMeasure(measure).map((side) => readSide(measure, row, side));
    if (readings.some((reading) => reading.faults.some((fault) => fault !== null))) return [code];
    return readings.some((reading) => reading.unusual) && !row.meant ? [code] : [];
  });
}

/** Which measures have to be looked at again, in words. */
export const sayFaults = (codes: readonly string[], measures: ReadonlyMap<string, Measure>): string =>
  t("measures.lookAgain", { names: codes.map((code) => measures.get(code)?.name ?? code).join(", ") });

/** What was typed, line by line and side by side, as results; of empty cells none. */
export function takenResults(
  { codes, rows }: Pick<VisitDraft, "codes" | "rows">,
  measures: ReadonlyMap<string, Measure>,
): TakenResult[] {
  return codes.flatMap((code) => {
    const [measure, row] = [measures.get(code), rows[code]];
    if (!measure || !row) return [];
    return sidesOfMeasure(measure).flatMap((side) => {
      const { values } = readSide(measure, row, side);
      if (values.length === 0) return [];
      const { limit, marks } = row.sides[side] ?? {};
      const detail = {
        ...(limit ? { limit } : {}),
        ...(marks ? { marks: [...marks] } : {}),
        ...(row.submaximal ? { submaximal: true } : {}),
        ...(leverOf(row) === null ? {} : { leverM: leverOf(row) as number }),
      };
      return [
        {
          measure: code,
          side,
          trials: [...values],
          ...(row.way ? { way: row.way } : {}),
          ...(Object.keys(detail).length > 0 ? { detail } : {}),
          ...(row.meant ? { confirmed: true } : {}),
        },
      ];
    });
  });
}

const mostLeverCm = 200;

/** The lever arm of a row, metres; null where none was typed, or none that can be. */
export function leverOf({ leverCm = "" }: Pick<RowEntry, "leverCm">): number | null {
  const cm = Number(leverCm.replace(",", "."));
  return leverCm.trim() !== "" && cm > 0 && cm <= mostLeverCm ? cm / 100 : null;
}

/** What devices told of the trials of one side that are sent, by the place of each among them. */
function tracesOf({ id, rows }: VisitDraft, { measure, side }: TakenResult) {
  const { trials = [], traces = [] } = rows[measure]?.sides[side] ?? {};
  const sent = trials.flatMap((text, n) => (text.trim() === "" ? [] : [traces[n] ?? null]));
  const told = sent.flatMap((trace, trial) =>
    trace ? [{ id: uuidOf(`trace ${measure} ${side} ${trial}`, id), trial, ...trace }] : [],
  );
  return told.length > 0 ? { traces: told } : {};
}

/** The draft as it is sent; null when nothing has been typed. Its ids follow from the draft's own, so sending twice is harmless. */
export function toVisit(draft: VisitDraft, measures: ReadonlyMap<string, Measure>): VisitBody | null {
  const results = takenResults(draft, measures).map((result) => ({
    // The same measure and side of the same visit have the same id, however often they are sent.
    id: uuidOf(`${result.measure} ${result.side}`, draft.id),
    ...result,
    ...tracesOf(draft, result),
  }));
  return results.length === 0 ? null : { id: draft.id, takenOn: draft.takenOn, results };
}

/** Lines of a copied spreadsheet column, as typed; a trailing line break adds nothing. */
export function pastedLines(text: string): string[] {
  const lines = text.replace(/\r/g, "").split("\n");
  return (lines.at(-1) === "" ? lines.slice(0, -1) : lines).map((line) => line.split("\t")[0] ?? "");
}
