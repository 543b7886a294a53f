import { describe, expect, it } from "vitest";
import { startingMeasures } from "~/catalogue/measures/all";
import { guessColumns, possibleOrders, readDate, readResultsTable, type ColumnUse } from "./results-table";

const measures = new Map(startingMeasures.map((measure) => [measure.code, measure]));
const value = (measure: string, side: "left" | "right" | "none", unit: string): ColumnUse => ({
  kind: "value",
  measure,
  side,
  unit,
});
const usual = { order: "dmy", today: "2026-03-10", meant: false } as const;

describe("what the columns of a table hold", () => {
  it("is guessed from their names: code or name, side, unit, and the number of a trial", () => {
    const head = [
      "Date",
      "Knee flexion (deg) left",
      "knee-extension-force right (kgf)",
      "Squeeze, both legs (N)",
      "Remarks",
      "Single hop for distance L 2",
    ];
    expect(guessColumns(head, startingMeasures)).toEqual([
      { kind: "date" },
      value("knee-flexion", "left", "deg"),
      value("knee-extension-force", "right", "kgf"),
      value("squeeze-force", "none", "N"),
      { kind: "skip" },
      value("single-hop", "left", "cm"),
    ]);
  });

  it("is none where the side is missing, or too many", () => {
    expect(guessColumns(["single-hop", "pain-now left"], startingMeasures)).toEqual([
      { kind: "skip" },
      { kind: "skip" },
    ]);
  });
});

describe("dates", () => {
  it("are read in the order that is said; a day that is none is none", () => {
    expect(readDate("3.2.2026", "dmy")).toBe("2026-02-03");
    expect(readDate("3/2/2026", "mdy")).toBe("2026-03-02");
    expect(readDate("2026-02-03", "dmy")).toBe("2026-02-03");
    expect(readDate("2026-02-03T00:00:00.000Z", "mdy")).toBe("2026-02-03");
    for (const no of ["", "31.2.2026", "tomorrow", "2026/13/01", "1.1.26"])
      expect(readDate(no, "dmy")).toBeNull();
  });

  it("leave one order where a day above twelve tells, else several to choose from", () => {
    expect(possibleOrders(["13/02/2026", "1/2/2026"])).toEqual(["dmy"]);
    expect(possibleOrders(["1/2/2026", ""])).toEqual(["dmy", "mdy"]);
    expect(possibleOrders(["2026-02-03"])).toEqual(["ymd", "dmy", "mdy"]);
    expect(possibleOrders(["x", "31/2/2026", "1/2/2026", "14/2/2026"])).toEqual(["dmy"]);
    expect(possibleOrders(["x"])).toEqual([]);
  });
});

describe("a table", () => {
  const uses: ColumnUse[] = [
    { kind: "date" },
    value("knee-extension-force", "left", "kgf"),
    value("knee-extension-force", "left", "kgf"),
    value("pain-now", "none", "{0-10}"),
    { kind: "skip" },
  ];

  it("is days with their trials, in the unit of its columns; empty cells and rows are nothing", () => {
    const rows = [
      ["9.3.2026", "30", "31,5", "", "x"],
      ["", "", "", "", ""],
      ["2.3.2026", "20", "", "3", ""],
    ];
    const { visits, problems } = readResultsTable(rows, measures, { ...usual, uses });
    expect(problems).toEqual([]);
    expect(visits.map(({ takenOn }) => takenOn)).toEqual(["2026-03-02", "2026-03-09"]);
    expect(visits[1]?.results[0]?.trials[1]).toBeCloseTo(31.5 * 9.80665, 9);
    expect(visits[0]?.results.map(({ measure }) => measure)).toEqual(["knee-extension-force", "pain-now"]);
  });

  it("has every cell that cannot be taken told by its place", () => {
    const rows = [
      ["11.3.2026", "30", "", "", ""],
      ["soon", "30", "", "", ""],
      ["9.3.2026", "many", "900", "2.5", ""],
      ["9.3.2026", "30", "", "", ""],
      ["8.3.2026", "150", "", "", ""],
    ];
    const { problems } = readResultsTable(rows, measures, { ...usual, uses });
    expect(problems).toEqual([
      { row: 0, column: 0, problem: "to-come" },
      { row: 1, column: 0, problem: "no-date" },
      { row: 2, column: 1, problem: "not-a-number" },
      { row: 2, column: 2, problem: "too-high" },
      { row: 2, column: 3, problem: "not-whole" },
      { row: 3, column: 0, problem: "twice" },
      { row: 4, column: 1, problem: "unusual" },
    ]);
    const meant = readResultsTable(rows.slice(4), measures, { ...usual, uses, meant: true });
    expect(meant.problems).toEqual([]);
    expect(meant.visits[0]?.results[0]?.confirmed).toBe(true);
  });

  it("without dates is of today, and takes five trials of a side at most", () => {
    const six = Array.from({ length: 6 }, () => value("single-hop", "left", "cm"));
    const { visits, problems } = readResultsTable(
      [["1", "100", "101", "102", "103", "104"].map(String)],
      measures,
      {
        ...usual,
        uses: six,
      },
    );
    expect(visits[0]?.takenOn).toBe("2026-03-10");
    expect(problems.map(({ problem }) => problem)).toEqual(["unusual"]);
    const more = readResultsTable([["100", "100", "100", "100", "100", "100"]], measures, {
      ...usual,
      uses: six,
    });
    expect(more.problems).toEqual([{ row: 0, column: 5, problem: "too-many" }]);
  });
});
