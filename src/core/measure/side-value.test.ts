import { expect, it } from "vitest";
import { groinMeasures } from "~/catalogue/measures/groin";
import type { Measure, MeasureResult } from "./measure";
import { bestValue, latestValue, otherSide } from "./side-value";
import { squeezeReference } from "./squeeze-reference";

const measure = (code: string): Measure => {
  const found = groinMeasures.find((m) => m.code === code);
  if (!found) throw new Error(code);
  return found;
};
const result = (
  code: string,
  value: number,
  takenOn: string,
  more: Partial<MeasureResult> = {},
): MeasureResult => ({
  id: `${code}${value}${takenOn}`,
  measure: code,
  side: "none",
  value,
  takenOn,
  occasion: "since-injury",
  ...more,
});

it("several results of one day become the best for a force and the worst for a pain", () => {
  const forces = [result("squeeze-force", 150, "2026-03-01"), result("squeeze-force", 170, "2026-03-01")];
  expect(latestValue(measure("squeeze-force"), "none", forces)).toMatchObject({
    value: 170,
    takenOn: "2026-03-01",
  });
  const pains = [result("pain-walking", 1, "2026-03-01"), result("pain-walking", 3, "2026-03-01")];
  expect(latestValue(measure("pain-walking"), "none", pains)?.value).toBe(3);
});

it("the latest day counts, not the best one; the best one is the own best", () => {
  const results = [result("squeeze-force", 190, "2026-03-01"), result("squeeze-force", 170, "2026-03-05")];
  expect(latestValue(measure("squeeze-force"), "none", results)?.value).toBe(170);
  expect(bestValue(measure("squeeze-force"), "none", results)?.value).toBe(190);
});

it("the squeeze's reference says which one it is: before the injury, clinic's norm, own best", () => {
  const own = result("squeeze-force", 190, "2026-03-01");
  const norm = result("squeeze-force", 240, "2026-03-01", { occasion: "clinic-norm" });
  const before = result("squeeze-force", 260, "2025-08-01", { occasion: "pre-injury" });
  const reference = (...results: MeasureResult[]) => squeezeReference(measure("squeeze-force"), results);
  expect(reference(own)).toMatchObject({ valueN: 190, kind: "own-best" });
  expect(reference(own, norm)).toMatchObject({ valueN: 240, kind: "clinic-norm" });
  expect(reference(own, norm, before)).toMatchObject({ valueN: 260, kind: "pre-injury" });
  expect(reference()).toBeNull();
});

it("there is no other side when both are injured", () => {
  expect(otherSide("both")).toBeNull();
  expect(otherSide("right")).toBe("left");
});
