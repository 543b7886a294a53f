import { describe, expect, it } from "vitest";
import { startingExercises } from "~/catalogue/exercises/all";
import { firstPrescription } from "~/core/exercise/exercise";
import { draftOf, isReadable, movedTo, prescriptionOf, styled, stylesFor } from "./prescribe-draft";

const variantNamed = (id: string) => {
  const found = startingExercises.flatMap(({ variants }) => variants).find((variant) => variant.id === id);
  if (!found) throw new Error(`no ${id}`);
  return found;
};
const goblet = firstPrescription(variantNamed("squat-goblet"));

describe("a prescription in the form", () => {
  it("of every variant of the catalogue comes out as it went in", () => {
    for (const exercise of startingExercises)
      for (const variant of exercise.variants) {
        const before = firstPrescription(variant);
        expect(prescriptionOf(draftOf(before)), variant.id).toEqual(before);
      }
  });
  it("with a leg, bouts and a pause half-way up as well", () => {
    const whole = {
      ...goblet,
      leg: "other" as const,
      dose: { ...goblet.dose, boutsPerDay: 3, halfwayPauseSeconds: 2, tempo: "3-1-1-0" },
    };
    expect(prescriptionOf(draftOf(whole))).toEqual(whole);
  });
  it("takes commas, and one end of a range for both", () => {
    const typed = { ...draftOf(goblet), loadKg: " 12,5 ", reps: { bottom: "", top: "10" } };
    expect(prescriptionOf(typed).dose).toMatchObject({ loadKg: 12.5, reps: { bottom: 10, top: 10 } });
  });
  it("a tempo typed in part has the steady one's rest; an empty one is none", () => {
    const { tempo: _tempo, ...rest } = draftOf(goblet);
    expect(prescriptionOf({ ...rest, tempo: ["4", "", "", ""] }).dose.tempo).toBe("4-0-1.5-0");
    expect(prescriptionOf({ ...rest, tempo: ["", "", "", ""] }).dose).not.toHaveProperty("tempo");
  });
  it("what is no number, or may not be empty, makes it unreadable, and is never left out in silence", () => {
    expect(isReadable(prescriptionOf(draftOf(goblet)))).toBe(true);
    const draft = draftOf(goblet);
    const wrong: Partial<typeof draft>[] = [
      { sets: "" },
      { restSeconds: "" },
      { daysPerWeek: "x" },
      { loadKg: "12 kg" },
      { reps: { bottom: "x", top: "" } },
      { boutsPerDay: "twice" },
      { tempo: ["slow", "", "", ""] },
      { halfway: "?" },
      { settings: { ...draft.settings, "knee-angle": "deep" } },
    ];
    for (const part of wrong)
      expect(isReadable(prescriptionOf({ ...draft, ...part })), JSON.stringify(part)).toBe(false);
  });
  it("leaves out what belongs to another style or contraction, though it stands in a field nobody sees", () => {
    const draft = { ...draftOf(goblet), effort: { low: "30", high: "40" }, hold: { bottom: "5", top: "5" } };
    const { dose } = prescriptionOf({ ...draft, style: "strength" });
    expect([dose.effort, dose.hold]).toEqual([undefined, undefined]);
    const running = prescriptionOf({ ...draft, style: "running", tempo: ["3", "", "", ""], halfway: "2" });
    expect([running.dose.tempo, running.dose.halfwayPauseSeconds]).toEqual([undefined, undefined]);
  });
});

describe("another style", () => {
  it("begins as that style usually does, and keeps load, movement and leg", () => {
    const heavy = prescriptionOf(styled({ ...draftOf(goblet), loadKg: "16", leg: "other" }, "strength"));
    expect(heavy).toMatchObject({
      settings: goblet.settings,
      leg: "other",
      dose: { style: "strength", loadKg: 16 },
    });
  });
  it("is offered only where the contraction fits", () => {
    expect(stylesFor(draftOf(goblet))).not.toContain("squeeze");
    expect(stylesFor(draftOf(goblet))).toContain("heavy-slow");
  });
});

it("another variant brings its own settings, and those that both have stay as typed", () => {
  const [first, second] = ["side-step-up-held", "side-step-up-free"].map(variantNamed);
  if (!first || !second) throw new Error("no step-up");
  const draft = draftOf(firstPrescription(first));
  const moved = movedTo({ ...draft, settings: { ...draft.settings, "step-height": "17" } }, second);
  expect(prescriptionOf(moved)).toMatchObject({ variantId: second.id, settings: { "step-height": 17 } });
});
