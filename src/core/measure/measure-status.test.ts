import { describe, expect, it } from "vitest";
import { measureByCode } from "~/catalogue/measures/all";
import type { MeasureResult } from "./measure";
import { measureStatus } from "./measure-status";

const force = measureByCode("knee-extension-force");
let made = 0;
const result = (
  side: "left" | "right",
  trials: number[],
  takenOn: string,
  more: Partial<MeasureResult> = {},
): MeasureResult => ({
  id: `r${(made += 1)}`,
  measure: force.code,
  side,
  value: Math.max(...trials),
  trials,
  takenOn,
  occasion: "since-injury",
  ...more,
});

const baseline = [
  result("right", [400, 410, 420], "2026-01-05"),
  result("left", [200, 210, 205], "2026-02-20"),
];

describe("where a measure stands", () => {
  it("both sides, symmetry, and the early reference with its kind", () => {
    const now = [
      ...baseline,
      result("left", [300, 310, 306], "2026-03-10"),
      result("right", [340, 350, 346], "2026-03-10"),
    ];
    const status = measureStatus(force, now, "left", "2026-02-01");
    expect(status.lsiPercent).toBeCloseTo((310 / 350) * 100, 10);
    expect(status.early).toMatchObject({ kind: "before-surgery", takenOn: "2026-01-05" });
    expect(status.early?.percent).toBeCloseTo((310 / 420) * 100, 10);
    expect(measureStatus(force, now, "left", undefined).early?.kind).toBe("earliest-after");
    expect(measureStatus(force, now, "left", "2026-01-01").early?.kind).toBe("earliest-after");
  });
  it("a change is beyond error or within it, by the scatter of three trials where nothing is published", () => {
    const steady = [
      result("left", [200, 210, 190], "2026-03-01"),
      result("left", [205, 211, 197], "2026-03-08"),
    ];
    const status = measureStatus(force, steady, "left", undefined).left;
    expect(status).toMatchObject({ change: 1, real: false });
    // sd of 205, 211, 197 is 7.02; /√3 = 4.06; × 1.96 √2 = 11.2
    expect(status?.mdc95).toBeCloseTo(11.24, 1);
    const risen = [...steady, result("left", [240, 250, 245], "2026-03-15")];
    expect(measureStatus(force, risen, "left", undefined).left?.real).toBe(true);
  });
  it("says when it was taken another way than before", () => {
    const [way, other] = force.ways ?? [];
    const twice = [
      result("left", [200], "2026-03-01", { position: way ?? "" }),
      result("left", [240], "2026-03-08", { position: other ?? "" }),
    ];
    expect(measureStatus(force, twice, "left", undefined).left?.wayChanged).toBe(true);
    expect(measureStatus(force, twice.slice(0, 1), "left", undefined).left?.wayChanged).toBe(false);
  });
  it("a correction takes the place of what it corrects", () => {
    const wrong = result("left", [2000], "2026-03-10");
    const right = result("left", [200], "2026-03-10", { supersedes: wrong.id });
    expect(measureStatus(force, [wrong, right], "left", undefined).left?.value).toBe(200);
  });
  it("both sides injured: no index and no early reference; one side only: no index", () => {
    const both = measureStatus(force, baseline, "both", undefined);
    expect([both.lsiPercent, both.early]).toEqual([null, null]);
    expect(measureStatus(force, baseline.slice(1), "left", undefined).lsiPercent).toBeNull();
  });
});
