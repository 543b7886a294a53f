import Papa from "papaparse";
import { separatorOf } from "~/core/table/separator-of";

/** What a force may be in, in newtons. */
export const forceFileUnits = { N: 1, kN: 1000, kgf: 9.80665, lbf: 4.4482216152605 } as const;
export type ForceFileUnit = keyof typeof forceFileUnits;

/** A trace read from a file, and what was found out about it, to be shown. */
export interface ForceFile {
  readonly sampleHz: number;
  /** As they stand in the file, in its unit. */
  readonly values: readonly number[];
  /** Null where the file does not say: it has to be asked. */
  readonly unit: ForceFileUnit | null;
  readonly delimiter: string;
  readonly decimal: "." | ",";
  readonly timeUnit: "s" | "ms";
  /** What the columns are called; empty where they have no names. */
  readonly columns: readonly string[];
}

/** What is wrong with a file, and on which line (from 1); 0 for all of it. */
export interface FileProblem {
  readonly line: number;
  readonly problem:
    | "empty"
    | "too-long"
    | "no-text"
    | "one-column"
    | "commas"
    | "no-number"
    | "time-back"
    | "gap"
    | "rate"
    | "too-short";
}
export type ForceFileRead =
  | { readonly ok: true; readonly file: ForceFile }
  | { readonly ok: false; readonly problems: readonly FileProblem[] };

/** Longer than any trace: two minutes at 2000 Hz is some 5 MB. */
export const longestFile = 16_000_000;
const toldAtMost = 5;
const leastSeconds = 2;
const rates = { least: 100, most: 2000 } as const;
/** So much longer than usual between two samples, some are missing. */
const gapFactor = 1.5;
const unitNames: readonly (readonly [ForceFileUnit, RegExp])[] = [
  ["kN", /\bkN\b|kilonewton/i],
  ["N", /\bN\b|newton/],
  ["kgf", /\bkgf?\b|kilo/i],
  ["lbf", /\blbf?s?\b|pound/i],
];

/**
 * A table of time and force, read: which sign parts its columns, which its decimals, in which unit, how fast it was taken.
 *
 * @param text of the file; a first line of names is optional
 * @returns samples as they stand there; or what is wrong, line by line: no number, time that goes back or stands still, samples
 *   missing, a rate outside 100–2000 Hz, less than two seconds
 * @example readForceFile("").ok // false
 * Source: RFC 4180 for the table, by papaparse.
 */
export function readForceFile(text: string): ForceFileRead {
  const whole = wholeProblem(text);
  if (whole) return failed([{ line: 0, problem: whole }]);
  const { data, meta } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ""), {
    delimiter: separatorOf(text),
    skipEmptyLines: "greedy",
  });
  const widths = new Set(data.map((cells) => cells.length));
  const named =
    data[0]?.some((cell) => numberOf(cell, ".") === null && numberOf(cell, ",") === null) ?? false;
  const rows = named ? data.slice(1) : data;
  const columns = named ? (data[0] ?? []).map((name) => name.trim()) : [];
  if (meta.delimiter === "," && widths.size === 1 && (rows[0]?.length ?? 0) === 4 && columns.length !== 4)
    return failed([{ line: 0, problem: "commas" }]);
  if (meta.delimiter === "," && named && columns.length * 2 === (rows[0]?.length ?? 0))
    return failed([{ line: 0, problem: "commas" }]);
  if ((rows[0]?.length ?? 0) < 2) return failed([{ line: 0, problem: "one-column" }]);
  const decimal = rows.some((cells) => cells.some((cell) => /\d,\d/.test(cell))) ? "," : ".";
  const [timeAt, forceAt] = placesOf(columns);
  const firstLine = named ? 2 : 1;
  const times: number[] = [];
  const values: number[] = [];
  const problems: FileProblem[] = [];
  rows.forEach((cells, n) => {
    const [time, value] = [numberOf(cells[timeAt], decimal), numberOf(cells[forceAt], decimal)];
    if (time === null || value === null) problems.push({ line: n + firstLine, problem: "no-number" });
    else {
      times.push(time);
      values.push(value);
    }
  });
  if (problems.length > 0) return failed(problems);
  return timed(times, values, firstLine, {
    delimiter: meta.delimiter,
    decimal,
    columns,
    unit: unitNames.find(([, name]) => name.test(columns[forceAt] ?? ""))?.[0] ?? null,
    timeName: columns[timeAt] ?? "",
  });
}

const failed = (problems: readonly FileProblem[]): ForceFileRead => ({
  ok: false,
  problems: problems.slice(0, toldAtMost),
});

function wholeProblem(text: string): FileProblem["problem"] | null {
  if (text.trim() === "") return "empty";
  if (text.length > longestFile) return "too-long";
  return text.slice(0, 10_000).includes("\0") ? "no-text" : null;
}

/** Which columns hold time and force: by their names, else the first two. */
function placesOf(columns: readonly string[]): readonly [time: number, force: number] {
  const time = columns.findIndex((name) => /time|zeit|sec|\bt\b|\bm?s\b/i.test(name));
  const timeAt = time < 0 ? 0 : time;
  const force = columns.findIndex(
    (name, n) => n !== timeAt && /force|kraft|load|newton|\bk?N\b|\bkgf?\b|\blbf?\b/i.test(name),
  );
  return [timeAt, force < 0 ? (timeAt === 0 ? 1 : 0) : force];
}

function numberOf(cell: string | undefined, decimal: "." | ","): number | null {
  const text = (cell ?? "").trim();
  const plain = decimal === "," ? text.replace(",", ".") : text;
  return /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i.test(plain) ? Number(plain) : null;
}

interface Found extends Pick<ForceFile, "delimiter" | "decimal" | "columns" | "unit"> {
  readonly timeName: string;
}

/** The samples with the rate at which they were taken, where it is one. */
function timed(
  times: readonly number[],
  values: readonly number[],
  firstLine: number,
  { timeName, ...found }: Found,
): ForceFileRead {
  const steps = times.slice(1).map((time, n) => time - (times[n] as number));
  const back = steps.findIndex((step) => step <= 0);
  if (back >= 0) return failed([{ line: back + 1 + firstLine, problem: "time-back" }]);
  const usual = [...steps].sort((a, b) => a - b)[Math.floor(steps.length / 2)] ?? 0;
  const gaps = steps.flatMap((step, n): FileProblem[] =>
    step > gapFactor * usual ? [{ line: n + 1 + firstLine, problem: "gap" }] : [],
  );
  if (gaps.length > 0) return failed(gaps);
  // Half a unit between two samples or more can only be milliseconds.
  const timeUnit =
    /\bms\b|milli/i.test(timeName) || (!/\bs\b|sec/i.test(timeName) && usual >= 0.5) ? "ms" : "s";
  const seconds = ((times.at(-1) ?? 0) - (times[0] ?? 0)) / (timeUnit === "ms" ? 1000 : 1);
  const sampleHz = Math.round(((times.length - 1) / seconds) * 100) / 100;
  if (!(sampleHz >= rates.least && sampleHz <= rates.most)) return failed([{ line: 0, problem: "rate" }]);
  if (values.length < leastSeconds * sampleHz) return failed([{ line: 0, problem: "too-short" }]);
  return { ok: true, file: { ...found, sampleHz, values, timeUnit } };
}
