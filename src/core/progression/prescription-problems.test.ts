import { describe, expect, it } from "vitest";
import { startingExercises } from "~/catalogue/exercises/all";
import { firstPrescription, variantOf } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import { prescriptionProblems } from "./prescription-problems";

const stepUp = startingExercises.find(({ id }) => id === "side-step-up");
if (!stepUp) throw new Error("no side step-up");
const sound = firstPrescription(variantOf(stepUp, "side-step-up-free"));
const problems = (over: Partial<Prescription>, both = false, path?: string) =>
  prescriptionProblems(stepUp, { ...sound, ...over }, both, path);
const { support, ...unsupported } = sound.settings;

describe("a prescription of an exercise", () => {
  it("as the catalogue has it makes sense, for every variant", () => {
    for (const exercise of startingExercises)
      for (const variant of exercise.variants)
        expect(prescriptionProblems(exercise, firstPrescription(variant), true), variant.id).toEqual([]);
  });
  it("of a variant that it has not is refused for that, and for nothing else", () => {
    expect(problems({ variantId: "leg-press-both", settings: {} })).toEqual([
      { path: "/variantId", problem: "is not a variant of this exercise" },
    ]);
  });
  it("with a knob that it has not, at a place where none stands, or without one", () => {
    expect(support).toBeDefined();
    expect(problems({ settings: { ...sound.settings, "box-height": 40 } })).toEqual([
      { path: "/settings/box-height", problem: "is not a knob of this variant" },
    ]);
    expect(problems({ settings: { ...sound.settings, "step-height": 61 } })).toEqual([
      { path: "/settings/step-height", problem: "cannot stand at 61" },
    ]);
    expect(problems({ settings: { ...sound.settings, "step-height": 60 } })).toEqual([]);
    expect(problems({ settings: unsupported })).toEqual([
      { path: "/settings/support", problem: "is missing" },
    ]);
  });
  it("with a dose that does not go with it, under the path it stands at", () => {
    const dose = { ...sound.dose, reps: { bottom: 12, top: 8 } };
    expect(problems({ dose }, false, "/prescription")).toEqual([
      { path: "/prescription/dose/reps", problem: "bottom is above top" },
    ]);
  });
  it("for one leg only where there is an other one", () => {
    expect(problems({ leg: "other" })).toEqual([]);
    expect(problems({ leg: "other" }, true)).toEqual([
      { path: "/leg", problem: "cannot be one alone: both legs are affected" },
    ]);
  });
});
