import { describe, expect, it } from "vitest";
import { bookOfBody } from "~/catalogue/demands/book";
import { startingExercises } from "~/catalogue/exercises/all";
import { decide } from "~/core/decision/decide";
import { firstPrescription, variantOf } from "~/core/exercise/exercise";
import type { KnobValue, Prescription } from "~/core/exercise/prescription";
import { harder } from "~/core/progression/harder";
import type { SetRecord } from "~/core/response/session-record";
import { day, reps, stepUpInput } from "~tests/builders/decide-input";

/**
 * Sitting back: go down until just before it hurts, find the rest of the way at the hips, leave that form again degree by degree
 * (common practice). Reasoned before it was run, for somebody of 1.75 m.
 */
const book = bookOfBody({ heightM: 1.75 });
const withVariant = (id: string) => {
  const found = startingExercises.find(({ variants }) => variants.some((variant) => variant.id === id));
  if (!found) throw new Error(`no exercise has ${id}`);
  return found;
};
const prescribed = (id: string, settings: Record<string, KnobValue> = {}): Prescription => {
  const first = firstPrescription(variantOf(withVariant(id), id));
  return { ...first, settings: { ...first.settings, ...settings } };
};
const kneeOf = (prescription: Prescription) => {
  const told = book.demandOf(withVariant(prescription.variantId), prescription);
  if (!told.ok) throw new Error(told.why);
  return told.demand.working.kneeFlexionDeg[1];
};

describe.each(["touch-down-held", "step-lowering-held"])("%s", (id) => {
  it.each([20, 25, 30])("sitting back from %d° no knee bends farther, whatever the step", (angle) => {
    for (const step of [10, 15]) {
      const plain = kneeOf(prescribed(id, { "step-height": step }));
      const back = kneeOf(prescribed(id, { "step-height": step, "sit-back-at": String(angle) }));
      expect(back).toBeLessThanOrEqual(Math.max(angle + 1, 0));
      expect(back).toBeLessThan(plain + 1);
    }
  });
});

it.each(["split-squat-held", "forward-lunge-free"])("%s: the shin stays more upright", (id) => {
  const leg = (settings: Record<string, KnobValue>) => {
    const told = book.demandOf(withVariant(id), prescribed(id, { "knee-travel": "free", ...settings }));
    if (!told.ok) throw new Error(told.why);
    return told.demand.working.ankleDorsiflexionDeg[1];
  };
  expect(leg({ "sit-back-at": "25" })).toBeLessThan(leg({ "sit-back-at": "none" }) - 3);
});

describe("a painful angle", () => {
  const eased = (id: string, fromDeg: number | null, settings: Record<string, KnobValue> = {}) => {
    const prescription = prescribed(id, settings);
    const worst: Partial<SetRecord> = {
      painDuring: 7,
      painWith: "depth",
      ...(fromDeg === null ? {} : { painArc: { fromDeg } }),
    };
    const input = stepUpInput({
      exercise: withVariant(id),
      prescription,
      trainingDays: [day(8, reps([12, 12, 12], worst))],
    });
    const { change } = decide(input, undefined, book);
    if (!change || !("knob" in change)) throw new Error("an ease turns something");
    return `${change.knob} ${change.from} to ${change.to}`;
  };
  it.each([
    ["a lower step is enough", "touch-down-free", 85, { "step-height": 20 }, "step-height 20 to 10"],
    [
      "even the lowest step bends too far",
      "touch-down-free",
      27,
      { "step-height": 20 },
      "sit-back-at none to 20",
    ],
    [
      "it sits back already, and hurts earlier",
      "touch-down-free",
      30,
      { "step-height": 5, "sit-back-at": "30" },
      "sit-back-at 30 to 25",
    ],
    ["a shorter way is enough", "split-squat-free", 85, { range: "full" }, "range full to three-quarter"],
    ["no way is short enough", "split-squat-free", 40, { range: "part" }, "sit-back-at none to 35"],
    [
      "nobody said the angle, the step is the lowest",
      "touch-down-free",
      null,
      { "step-height": 5 },
      "sit-back-at none to 60",
    ],
  ] as const)("%s", (_what, id, fromDeg, settings, expected) =>
    expect(eased(id, fromDeg, settings)).toBe(expected),
  );
});

it("is left degree by degree before anything else grows, and then the step does", () => {
  const exercise = withVariant("touch-down-free");
  const way: string[] = [];
  let at = prescribed("touch-down-free", { "sit-back-at": "35", "step-height": 15 });
  for (let n = 0; n < 4; n += 1) {
    const next = harder(exercise, at, { restrictions: [], today: "2026-03-10", book });
    if (next.found !== "change") throw new Error(next.found);
    way.push(`${next.change.knob} ${next.change.to}`);
    at = next.change.prescription;
  }
  expect(way).toEqual(["sit-back-at 45", "sit-back-at 60", "sit-back-at none", "step-height 20"]);
});
