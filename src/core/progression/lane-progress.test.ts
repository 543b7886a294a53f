import { describe, expect, it } from "vitest";
import { labelBook } from "~/core/demand/label-book";
import type { Exercise, Turn } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import { exerciseWith, strength } from "~tests/builders/decide-input";
import { countedItem } from "./counted-item";
import { laneProgress } from "./lane-progress";
import { loadJump } from "./load-jump";

const height: Turn = { knob: "step-height", ladder: [5, 10, 15, 20, 25] };
const load: Turn = { knob: "load", stepPercent: 5, incrementKg: 1, maximumKg: 40 };
const onStep = (cm: number, variantId = "only"): Prescription => ({
  variantId,
  settings: { "step-height": cm },
  dose: strength,
});

describe("how far an exercise has come, by hand", () => {
  const one = exerciseWith({ "step-height": 5 }, [height], strength);
  const [only] = one.variants as [Exercise["variants"][number]];
  const three = { ...one, variants: ["a", "b", "c"].map((id) => ({ ...only, id, name: id })) };

  it.each([
    [5, 0],
    [10, 1 / 4],
    [15, 2 / 4],
    [25, 1],
  ])("of one variant at %d cm: %d of its ladder, but for a thousandth", (cm, share) => {
    expect(laneProgress(one, onStep(cm))).toBeCloseTo(share * 0.999, 12);
  });

  it.each([
    ["a", 5, 0],
    ["b", 5, 1 / 3],
    ["b", 15, (1 + 0.5 * 0.999) / 3],
    ["c", 25, (2 + 0.999) / 3],
  ])("of three variants, %s at %d cm: %d", (id, cm, share) => {
    expect(laneProgress(three, onStep(cm, id))).toBeCloseTo(share, 12);
  });

  it("several ladders share a variant alike; a load is no ladder", () => {
    const two = exerciseWith(
      {},
      [height, { knob: "support", ladder: ["two-hands", "one-hand", "none"] }, load],
      strength,
    );
    const at = (cm: number, support: string): Prescription => ({
      ...onStep(cm),
      settings: { "step-height": cm, support },
    });
    expect(laneProgress(two, at(15, "two-hands"))).toBeCloseTo(0.25 * 0.999, 12);
    expect(laneProgress(two, at(25, "one-hand"))).toBeCloseTo(0.75 * 0.999, 12);
    expect(laneProgress(exerciseWith({}, [load], strength), { ...onStep(5), settings: {} })).toBe(0);
  });
});

/** Steps of 2–10 % are usual (ACSM 2009, recalled); two kilograms at once are, however light the load (common practice). */
describe("a jump of load", () => {
  it.each([
    [10, 15, 50],
    [20, 22, null],
    [20, 22.5, 13],
    [25, 27.5, null],
    [24, 26.5, 10],
    [8, 10, null],
    [8, 10.1, 26],
    [40, 44, null],
    [40, 44.1, 10],
    [0, 10, null],
    [15, 10, null],
  ])("from %d to %d kg: %s %%", (from, to, percent) => {
    expect(loadJump({ kind: "knob", knob: "load", from, to })).toBe(percent);
  });

  it("is none of another knob, of another variant, or in words", () => {
    expect(loadJump({ kind: "knob", knob: "step-height", from: 10, to: 20 })).toBeNull();
    expect(loadJump({ kind: "variant", knob: "load", from: 10, to: 20 })).toBeNull();
    expect(loadJump({ kind: "knob", knob: "load", from: "10", to: 20 })).toBeNull();
    expect(loadJump({ kind: "knob", knob: "load", from: 10, to: "20" })).toBeNull();
  });
});

it("what an item counts in a plan: its time on both sides, its spring, its days", () => {
  const exercise = exerciseWith({ contraction: "plyometric", laterality: "single" }, [], {
    ...strength,
    contacts: { bottom: 10, top: 10 },
  });
  const [variant] = exercise.variants as [Exercise["variants"][number]];
  const prescription: Prescription = { variantId: "only", settings: variant.settings, dose: variant.dose };
  const counted = countedItem(exercise, prescription, labelBook);
  expect(counted).toMatchObject({ spring: "single-leg-landing", daysPerWeek: 3 });
  // Three sets of ten on each of two legs.
  expect(counted.time.contacts).toBe(60);
  const undrawn = { demandOf: () => ({ exercise, ok: false as const, why: "nothing is drawn of it" }) };
  expect(countedItem(exercise, prescription, undrawn).spring).toBe("none");
});
