import { zipSync, strToU8 } from "fflate";
import { describe, expect, it } from "vitest";
import writeXlsxFile from "write-excel-file/node";
import { tableCells } from "./table-cells";

const bytes = (text: string) => new TextEncoder().encode(text);
const written = async (rows: unknown[][]) => {
  const file = writeXlsxFile(rows as unknown as Parameters<typeof writeXlsxFile>[0]);
  return new Uint8Array(await file.toBuffer());
};

describe("the cells of a table", () => {
  it("are read from text whichever sign parts them, in either encoding", async () => {
    expect(await tableCells(bytes("\uFEFFDate;Pain\n1.2.2026;2,5\n\n;;\n2.2.2026\n"))).toEqual({
      ok: true,
      head: ["Date", "Pain"],
      rows: [
        ["1.2.2026", "2,5"],
        ["2.2.2026", ""],
      ],
    });
    const old = Uint8Array.from([...bytes("Gr"), 0xf6, ...bytes("sse,x\n1,2\n")]);
    expect(await tableCells(old)).toMatchObject({ head: ["Grösse", "x"] });
  });

  it("are read from a spreadsheet that another library wrote: text, numbers, days", async () => {
    const file = await written([
      [{ value: "Date" }, { value: "Knee flexion left" }, { value: "Note" }],
      [
        { value: new Date("2026-02-03T00:00:00Z"), type: Date, format: "dd/mm/yyyy" },
        { value: 121.5, type: Number },
        { value: " stiff " },
      ],
    ]);
    expect(await tableCells(file)).toEqual({
      ok: true,
      head: ["Date", "Knee flexion left", "Note"],
      rows: [["2026-02-03", "121.5", "stiff"]],
    });
  });

  it.each([
    ["nothing", new Uint8Array(), "empty"],
    ["blanks", bytes(" \n\n"), "empty"],
    ["a head alone", bytes("Date;Pain\n"), "no-head"],
    ["numbers without names", bytes("1;2\n3;4\n"), "no-head"],
    ["a picture", Uint8Array.from([0xff, 0xd8, 0, 0, 1, 2, 3]), "no-table"],
    ["a packed file that is no spreadsheet", zipSync({ "a.txt": strToU8("hello") }), "no-table"],
    ["half a packed file", zipSync({ "a.txt": strToU8("hello") }).slice(0, 40), "no-table"],
    ["a packed file that would burst", zipSync({ "a.txt": new Uint8Array(61_000_000) }), "too-large"],
    ["six million bytes", new Uint8Array(6_000_000).fill(49), "too-large"],
    ["too many rows", bytes(`Date\n${"1\n".repeat(201)}`), "too-many-rows"],
    ["too many columns", bytes(`${"a;".repeat(121)}a\n${"1;".repeat(121)}1\n`), "too-many-columns"],
  ])("%s: is said to be so", async (_, file, fault) => {
    expect(await tableCells(file)).toEqual({ ok: false, fault });
  });
});
