import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { measureByCode } from "~/catalogue/measures/all";
import { parseEntry } from "./parse-entry";

const force = measureByCode("hip-adduction-force");
const flexion = measureByCode("knee-flexion");
const hop = measureByCode("single-hop");
const pain = measureByCode("pain-now");
const effusion = measureByCode("effusion");

describe("what somebody types", () => {
  it.each([
    ["180", force, 180],
    [" 180,5 ", force, 180.5],
    ["180.5 N", force, 180.5],
    ["10 kgf", force, 98.0665],
    ["10 lbf", force, 44.482216152605],
    ["60 in", hop, 152.4],
    ["130°", flexion, 130],
    ["3/10", pain, 3],
    ["1+", effusion, 2],
    ["TRACE", effusion, 1],
    ["2", effusion, 2],
  ] as const)("%j is taken", (text, measure, value) => {
    const entry = parseEntry(text, measure);
    expect(entry.ok && entry.value).toBeCloseTo(value, 9);
  });
  it.each([
    ["", force, "not-a-number"],
    ["abc", force, "not-a-number"],
    ["1,2,3", force, "not-a-number"],
    ["10 lb", force, "unknown-unit"],
    ["180 cm", force, "unknown-unit"],
    ["400", flexion, "too-high"],
    ["-1", flexion, "too-low"],
    ["11", pain, "too-high"],
    ["2.5", pain, "not-whole"],
    ["huge", effusion, "not-a-grade"],
    ["9", effusion, "too-high"],
  ] as const)("%j is refused", (text, measure, fault) =>
    expect(parseEntry(text, measure)).toEqual({ ok: false, fault }),
  );
  it("asks about what is possible but unusual", () => {
    expect(parseEntry("40", flexion)).toEqual({ ok: true, value: 40, unusual: true });
    expect(parseEntry("120", flexion)).toEqual({ ok: true, value: 120, unusual: false });
  });
  it("a bare number is in the column's unit", () => {
    const entry = parseEntry("10", force, "kgf");
    expect(entry.ok && entry.value).toBeCloseTo(98.0665, 9);
    expect(parseEntry("10 N", force, "kgf")).toMatchObject({ value: 10 });
  });
  it("nothing typed makes it throw, and what it takes is possible", () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const entry = parseEntry(text, force);
        if (entry.ok) expect(entry.value >= 0 && entry.value <= 1500).toBe(true);
      }),
    );
  });
});
