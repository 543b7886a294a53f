import { unzipSync } from "fflate";
import Papa from "papaparse";
import { readSheet } from "read-excel-file/universal";
import { separatorOf } from "./separator-of";

/** What is wrong with a file of results as a whole. */
export type TableFault =
  | "empty"
  | "too-large"
  | "no-table"
  | "too-many-rows"
  | "too-many-columns"
  | "no-head";
export type CellsRead =
  | { readonly ok: true; readonly head: string[]; readonly rows: string[][] }
  | { readonly ok: false; readonly fault: TableFault };

/** Larger than any table of one person's results; and what a packed one may become. */
export const largestTableBytes = 5_000_000;
const largestUnpackedBytes = 60_000_000;
const most = { rows: 200, columns: 120 } as const;

/**
 * The cells of a table out of a spreadsheet or a file of text, as text: its first sheet, names first.
 *
 * @param bytes of the file; what it is called says nothing, what it holds does
 * @returns rows as wide as the names; or what is wrong: nothing in it, too large (packed or unpacked), no table, more than 200 rows
 * Source: RFC 4180 by papaparse; ECMA-376 by read-excel-file.
 */
export async function tableCells(bytes: Uint8Array): Promise<CellsRead> {
  if (bytes.length === 0) return { ok: false, fault: "empty" };
  if (bytes.length > largestTableBytes) return { ok: false, fault: "too-large" };
  const read = isZip(bytes) ? await ofSpreadsheet(bytes) : ofText(bytes);
  if (!Array.isArray(read)) return { ok: false, fault: read };
  const filled = read.filter((cells) => cells.some((cell) => cell !== ""));
  const [head, ...rows] = filled;
  if (!head) return { ok: false, fault: "empty" };
  if (rows.length === 0 || head.every((name) => name === "" || /^[\d.,]+$/.test(name)))
    return { ok: false, fault: "no-head" };
  if (rows.length > most.rows) return { ok: false, fault: "too-many-rows" };
  if (head.length > most.columns) return { ok: false, fault: "too-many-columns" };
  return { ok: true, head, rows: rows.map((cells) => head.map((_, n) => cells[n] ?? "")) };
}

const isZip = ([first, second]: Uint8Array) => first === 0x50 && second === 0x4b;

async function ofSpreadsheet(bytes: Uint8Array): Promise<string[][] | TableFault> {
  try {
    let unpacked = 0;
    unzipSync(bytes, {
      filter: ({ originalSize }) => {
        unpacked += originalSize;
        return false;
      },
    });
    if (unpacked > largestUnpackedBytes) return "too-large";
    const sheet = await readSheet(new Uint8Array(bytes).buffer);
    return sheet.map((row) => row.map(textOf));
  } catch {
    return "no-table";
  }
}

function textOf(cell: unknown): string {
  if (cell === null || cell === undefined) return "";
  return cell instanceof Date ? cell.toISOString().slice(0, 10) : String(cell).trim();
}

function ofText(bytes: Uint8Array): string[][] | TableFault {
  let text: string;
  try {
    text = new TextDecoder("utf-8", { fatal: true }).decode(bytes);
  } catch {
    text = new TextDecoder("windows-1252").decode(bytes);
  }
  if (text.includes("\0")) return "no-table";
  const { data } = Papa.parse<string[]>(text, {
    delimiter: separatorOf(text),
    skipEmptyLines: "greedy",
  });
  return data.map((cells) => cells.map((cell) => cell.trim()));
}
