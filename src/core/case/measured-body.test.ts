import { expect, it } from "vitest";
import { measuredBody, measuredHeight, measuredLimbs } from "./measured-body";

const result = (id: string, value: number, takenOn: string, more: object = {}) => ({
  id,
  measure: "standing-height",
  side: "none" as const,
  value,
  takenOn,
  occasion: "since-injury" as const,
  ...more,
});

it("is the last one measured, in metres", () => {
  const results = [result("b", 181, "2026-02-01"), result("a", 180, "2026-01-01")];
  expect(measuredHeight({ results })).toBeCloseTo(1.81, 9);
});
it("is what stands after a correction", () => {
  const results = [result("a", 281, "2026-02-01"), result("b", 181, "2026-02-01", { supersedes: "a" })];
  expect(measuredHeight({ results })).toBeCloseTo(1.81, 9);
});
it("is unknown while nobody measured it", () => {
  expect(
    measuredHeight({ results: [{ ...result("a", 70, "2026-02-01"), measure: "body-mass" }] }),
  ).toBeNull();
});

it("has a mass beside the height, each as measured last and corrected", () => {
  const mass = (id: string, value: number, more: object = {}) => ({
    ...result(id, value, "2026-02-01", more),
    measure: "body-mass",
  });
  expect(measuredBody({ results: [mass("a", 700), mass("b", 70, { supersedes: "a" })] })).toEqual({
    heightM: null,
    massKg: 70,
  });
});

it("has the limbs that were measured, in metres", () => {
  const shank = { ...result("s", 44, "2026-02-01"), measure: "shank-length" };
  expect(measuredLimbs({ results: [shank] })).toEqual({ shankM: 0.44, thighM: null });
});
