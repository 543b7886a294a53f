import { describe, expect, it } from "vitest";
import { tempoSeconds } from "~/core/dose/tempo";
import type { Dose } from "~/core/dose/dose";
import { findKnob, knobByName, knobs, turnedKnobs } from "./knob";
import type { KnobValue, Prescription } from "./prescription";

const dose: Dose = {
  style: "strength",
  policy: "double-progression",
  sets: 3,
  restSeconds: 90,
  daysPerWeek: 3,
};
const bare: Prescription = { variantId: "v", settings: {}, dose };
const withDose = (over: Partial<Dose>): Prescription => ({ ...bare, dose: { ...dose, ...over } });

const worded = knobs.filter(({ words }) => words);

describe.each(worded.map((knob) => [knob.name, knob] as const))("%s, in words", (name, knob) => {
  it("takes its own words and no other, ranks them in their order, and lives in the settings", () => {
    const words = knob.words ?? [];
    expect(words.map(knob.rank)).toEqual(words.map((_, n) => n));
    expect(words.every(knob.accepts)).toBe(true);
    expect([knob.accepts("no such word"), knob.accepts(3), knob.accepts("")]).toEqual([false, false, false]);
    const [first = "", last = ""] = [words[0], words.at(-1)];
    const set = knob.write({ ...bare, settings: { [name]: first, other: 1 } }, last);
    expect(set).toEqual({ ...bare, settings: { [name]: last, other: 1 } });
    expect([knob.read(set), knob.read(bare)]).toEqual([last, undefined]);
  });
});

describe("knobs with numbers", () => {
  /** Least, most, and whether more is harder, as the table of the knobs says (common practice). */
  it.each([
    ["knee-angle", 0, 150, true],
    ["hip-angle", -30, 140, true],
    ["box-height", 10, 90, false],
    ["step-height", 2, 60, true],
    ["reach", 1, 150, true],
    ["drop-height", 5, 80, true],
    ["speed", 10, 100, true],
  ] as const)("%s: %d to %d, more is harder: %s", (name, low, high, up) => {
    const knob = knobByName(name);
    expect([low, high].every(knob.accepts)).toBe(true);
    expect([low - 0.1, high + 0.1, String(low), NaN].some(knob.accepts)).toBe(false);
    expect(knob.rank(high) > knob.rank(low)).toBe(up);
    expect(knob.read(knob.write(bare, low))).toBe(low);
  });

  it.each([
    ["load", "loadKg", 0, 500],
    ["body-weight-share", "bodyWeightPercent", 1, 300],
    ["maximum-share", "maximumPercent", 1, 100],
    ["band", "bandN", 1, 600],
    ["sets", "sets", 1, 20],
    ["minutes", "minutes", 0.1, 180],
  ] as const)("%s lives in the dose as %s: %d to %d", (name, key, low, high) => {
    const knob = knobByName(name);
    expect([low, high].every(knob.accepts)).toBe(true);
    expect([low - 0.01, high + 0.01, "5"].some(knob.accepts)).toBe(false);
    expect(knob.rank(high)).toBeGreaterThan(knob.rank(low));
    expect(knob.write(bare, high).dose[key]).toBe(high);
    expect(knob.read(withDose({ [key]: low }))).toBe(low);
  });

  it("an arc is from–to within 0 and 150, the wider the harder", () => {
    const arc = knobByName("arc");
    expect(["0-150", "60-90", "30-30", "45"].every(arc.accepts)).toBe(true);
    expect(["90-60", "-5-90", "0-151", "1-2-3", "from-to", ""].some(arc.accepts)).toBe(false);
    expect([arc.rank("60-90"), arc.rank("0-90"), arc.rank("45")]).toEqual([30, 90, 0]);
    expect(() => arc.rank("90-60")).toThrow("not a range");
    expect(() => arc.rank("wide")).toThrow("not a range");
  });
});

describe("ranges of the dose", () => {
  it.each(["reps", "hold", "contacts"] as const)(
    "%s: read as from–to, ranked by the upper end, written whole",
    (name) => {
      const knob = knobByName(name);
      const set = withDose({ [name]: { bottom: 8, top: 12 } });
      expect([knob.read(set), knob.read(bare)]).toEqual(["8-12", undefined]);
      expect([knob.rank("8-12"), knob.rank("6-15"), knob.rank(10)]).toEqual([12, 15, 10]);
      expect(["1-1", "8-12", "1000", 5].every((value: KnobValue) => knob.accepts(value))).toBe(true);
      expect(["0-5", "8-1001", "12-8", "8-10-12"].some(knob.accepts)).toBe(false);
      expect(knob.write(bare, "10-15").dose[name]).toEqual({ bottom: 10, top: 15 });
      expect(knob.write(bare, 7).dose[name]).toEqual({ bottom: 7, top: 7 });
    },
  );

  it("heavy-slow repetitions are a repetition maximum: fewer is harder, and they are not reps", () => {
    const knob = knobByName("repetition-maximum");
    const heavy = withDose({ style: "heavy-slow", reps: { bottom: 12, top: 12 } });
    expect([knob.read(heavy), knobByName("reps").read(heavy)]).toEqual([12, undefined]);
    expect(knob.read(withDose({ reps: { bottom: 12, top: 12 } }))).toBeUndefined();
    expect(knob.rank(6)).toBeGreaterThan(knob.rank(15));
    expect([1, 30].every(knob.accepts)).toBe(true);
    expect([0, 31, 7.5, "8"].some(knob.accepts)).toBe(false);
    expect(knob.write(heavy, 8).dose.reps).toEqual({ bottom: 8, top: 8 });
  });

  it("effort is a band of per cent", () => {
    const knob = knobByName("effort");
    expect(knob.read(withDose({ effort: { lowPercent: 50, highPercent: 70 } }))).toBe("50-70");
    expect(knob.read(bare)).toBeUndefined();
    expect(knob.write(bare, "30-40").dose.effort).toEqual({ lowPercent: 30, highPercent: 40 });
    expect(["1-100", "50"].every(knob.accepts)).toBe(true);
    expect(["0-50", "50-101", "70-50"].some(knob.accepts)).toBe(false);
    expect(knob.rank("50-70")).toBe(70);
  });

  it("tempo ranks by its seconds; four numbers, not all nothing", () => {
    const knob = knobByName("tempo");
    expect(knob.rank("3-1-1-0")).toBe(tempoSeconds("3-1-1-0"));
    expect(["3-1-1-0", "1.5-0-1.5-0", "10-0-0-0"].every(knob.accepts)).toBe(true);
    expect(["0-0-0-0", "3-1-1", "3-1-1-0-0", "a3-1-1-0", "3-1-1-0s", "3-1-1-.5"].some(knob.accepts)).toBe(
      false,
    );
    expect(knob.read(knob.write(bare, "3-1-1-0"))).toBe("3-1-1-0");
  });
});

describe("the list of knobs", () => {
  it("is found by name; an unknown one is null, or thrown by name", () => {
    expect(findKnob("load")?.unit).toBe("kg");
    expect(findKnob("volume")).toBeNull();
    expect(() => knobByName("volume")).toThrow("unknown knob volume");
  });

  it("tells which stand differently", () => {
    const after = { ...withDose({ sets: 4 }), settings: { range: "full" } };
    expect(turnedKnobs({ ...bare, settings: { range: "part" } }, after)).toEqual(["range", "sets"]);
    expect(turnedKnobs(after, after)).toEqual([]);
  });
});
