import { describe, expect, it } from "vitest";
import { readForceFile, type ForceFileRead } from "./read-force-file";

const rows = (
  { hz = 200, seconds = 3, sign = ",", decimal = ".", head = "time (s),force (N)", ms = false } = {},
  change: (cells: string[], n: number) => string[] = (cells) => cells,
) =>
  [
    ...(head ? [head] : []),
    ...Array.from({ length: hz * seconds }, (_, n) => {
      const time = ((ms ? 1000 : 1) * n) / hz;
      const cells = [time.toFixed(4), (n < hz ? 1 : 250.5).toFixed(2)].map((cell) =>
        cell.replace(".", decimal),
      );
      return change(cells, n).join(sign);
    }),
  ].join("\n");
const problemOf = (read: ForceFileRead) => (read.ok ? [] : read.problems);
const fileOf = (read: ForceFileRead) => {
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.file;
};

describe("a file of time and force", () => {
  it("is read whichever sign parts it, with its unit and rate found out", () => {
    expect(fileOf(readForceFile(rows()))).toMatchObject({
      sampleHz: 200,
      unit: "N",
      delimiter: ",",
      decimal: ".",
      timeUnit: "s",
      columns: ["time (s)", "force (N)"],
    });
    const german = rows({ sign: ";", decimal: ",", head: "Zeit (ms);Kraft (kgf)", ms: true });
    const file = fileOf(readForceFile(german));
    expect(file).toMatchObject({ sampleHz: 200, unit: "kgf", delimiter: ";", decimal: ",", timeUnit: "ms" });
    expect(file.values.at(-1)).toBe(250.5);
    expect(fileOf(readForceFile(`\uFEFF${rows({ sign: "\t", head: "" })}`))).toMatchObject({
      unit: null,
      columns: [],
    });
    expect(fileOf(readForceFile(rows({ ms: true, head: "" }))).timeUnit).toBe("ms");
  });

  it("may have its columns in another order, and more of them", () => {
    const turned = rows({ head: "force kN,note,time" }, ([time = "", force = ""]) => [force, "1", time]);
    expect(fileOf(readForceFile(turned))).toMatchObject({ unit: "kN", sampleHz: 200 });
    expect(fileOf(readForceFile(turned)).values[0]).toBe(1);
  });

  it.each([
    ["", 0, "empty"],
    [" \n ", 0, "empty"],
    ["PK\u0003\u0004\0\0", 0, "no-text"],
    ["x".repeat(16_000_001), 0, "too-long"],
    ["force\n1\n2\n3", 0, "one-column"],
    ["hello; this is\na letter; to you", 2, "no-number"],
    [rows({ decimal: ",", head: "" }), 0, "commas"],
    [rows({ decimal: "," }), 0, "commas"],
    [rows({}, (cells, n) => (n === 40 ? ["0.01", "3"] : cells)), 42, "time-back"],
    [rows({}, (cells, n) => (n === 7 ? [cells[0] ?? "", "n/a"] : cells)), 9, "no-number"],
    [rows({}, (cells, n) => (n > 300 ? [String(n / 200 + 0.5), "3"] : cells)), 303, "gap"],
    [rows({ hz: 20, seconds: 30 }), 0, "rate"],
    [rows({ seconds: 1 }), 0, "too-short"],
  ])("that cannot be used says where: %#", (text, line, problem) => {
    expect(problemOf(readForceFile(text))[0]).toEqual({ line, problem });
  });
});
