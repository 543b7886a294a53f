import { describe, expect, it } from "vitest";
import { restrictionProblems } from "~/core/limit/restriction-problems";
import { emptyLine, sheetKinds, toSheetLimit, type SheetLine } from "./sheet-line";

const context = { on: "2026-03-02", bodyMassKg: 80 };
const limit = (line: Partial<SheetLine>, given: Partial<typeof context> = {}) =>
  toSheetLimit({ ...emptyLine, most: "90", ...line }, { ...context, ...given });

describe("a line of the surgeon's sheet", () => {
  it("holds from the operation, to a date or for whole weeks: two weeks are day 0 to day 13", () => {
    expect(limit({})).toMatchObject({ from: "2026-03-02", origin: "surgeon" });
    expect(limit({}).until).toBeUndefined();
    expect(limit({ until: "2026-04-01" }).until).toBe("2026-04-01");
    expect(limit({ weeks: "2", until: "2026-04-01" }).until).toBe("2026-03-15");
    expect(limit({ from: "2026-03-10" }).from).toBe("2026-03-10");
  });
  it("a range has the ends that were typed, with a comma too, at all or under load", () => {
    expect(limit({ least: "10", most: "60,5" })).toMatchObject({
      kind: "range",
      joint: "knee",
      leastDeg: 10,
      mostDeg: 60.5,
      when: "any",
    });
    expect(limit({ least: "", loaded: true })).toMatchObject({ mostDeg: 90, when: "loaded" });
    expect(limit({ least: "" })).not.toHaveProperty("leastDeg");
  });
  it("a locked brace is a range while the leg carries", () => {
    expect(limit({ what: "brace", least: "0", most: "0" })).toMatchObject({
      kind: "range",
      leastDeg: 0,
      mostDeg: 0,
      when: "loaded",
    });
  });
  it.each([
    ["20 kg of 80", { amount: "20", unit: "kg" }, 0.25],
    ["40 %", { amount: "40", unit: "percent" }, 0.4],
    ["none", { unit: "none" }, 0],
    ["touch: 10 kg of 80", { unit: "touch" }, 0.125],
  ] as const)("weight, %s", (_what, line, share) => {
    expect(limit({ what: "weight", ...line })).toMatchObject({ kind: "weight", mostShare: share });
  });
  it("kilograms of somebody nobody weighed are of 75 kg", () => {
    const made = toSheetLimit(
      { ...emptyLine, what: "weight", amount: "15", unit: "kg" },
      { ...context, bodyMassKg: null },
    );
    expect(made).toMatchObject({ mostShare: 0.2 });
  });
  it("every kind is a limit that can be judged, in words of its own or the surgeon's", () => {
    for (const what of sheetKinds) {
      const made = limit({ what, amount: "20" });
      expect([what, restrictionProblems([made], "")]).toEqual([what, []]);
      expect(made.says.length).toBeGreaterThan(3);
      expect(limit({ what, amount: "20", says: " as in the letter " }).says).toBe("as in the letter");
    }
  });
  it("a least above the most is refused where it is signed", () => {
    expect(
      restrictionProblems([limit({ least: "90", most: "30" })], "/sheet").map(({ path }) => path),
    ).toEqual(["/sheet/0/mostDeg"]);
  });
});
