import { describe, expect, it } from "vitest";
import { startingExercises } from "~/catalogue/exercises/all";
import { offeredWords } from "~/catalogue/figures/offered";
import { formsOf } from "./forms";
import { loadsOf } from "./loads-of";

const body = { heightM: 1.75, massKg: 75 };
const variants = startingExercises.flatMap((exercise) =>
  exercise.variants.map((variant) => ({ exercise, variant })),
);

describe("forms of a movement", () => {
  it("begin with the present one, are all different, and turn only what the movement shows", () => {
    for (const { exercise, variant } of variants) {
      const forms = formsOf(exercise, variant.settings);
      expect(forms[0]).toEqual(variant.settings);
      expect(new Set(forms.map((form) => JSON.stringify(form))).size).toBe(forms.length);
      expect(forms.length).toBeLessThanOrEqual(240);
      for (const form of forms)
        for (const [knob, word] of Object.entries(form))
          if (word !== variant.settings[knob]) expect(offeredWords(exercise, knob)).toContain(word);
    }
  });
});

describe("loads of the catalogue", () => {
  it("every variant is read, or says why not; nothing that is read is not a number", () => {
    const reasons = new Map<string, number>();
    for (const { exercise, variant } of variants) {
      const told = loadsOf(body, { exercise, settings: variant.settings, loadKg: variant.dose.loadKg ?? 0 });
      reasons.set(told.ok ? "read" : told.reason, (reasons.get(told.ok ? "read" : told.reason) ?? 0) + 1);
      if (!told.ok) continue;
      for (const { legs, above } of told.moments) {
        const values = [legs.w, legs.o].flatMap((leg) =>
          leg ? [leg.share, leg.pressurePoint, leg.kneeMomentNm, leg.hipMomentNm, leg.ankleMomentNm] : [],
        );
        expect([...values, ...above.at, above.kg].every(Number.isFinite), variant.id).toBe(true);
      }
    }
    // Work on the feet that is slow enough: at least a quarter of the catalogue (counted when this was written: 143 of 431).
    expect(reasons.get("read") ?? 0).toBeGreaterThan(variants.length / 4);
    expect(reasons.get("undrawable") ?? 0).toBe(0);
    expect([...reasons.keys()].sort()).toEqual(["leans-on-something", "not-standing", "read", "too-fast"]);
  });

  it("a form beyond the body is said, and an exercise without a figure", () => {
    const [known] = variants.filter(({ variant }) => variant.id === "squat-free");
    if (!known) throw new Error("there is a squat");
    const deep = loadsOf(body, {
      exercise: known.exercise,
      settings: { ...known.variant.settings, "knee-angle": 150 },
      loadKg: 0,
    });
    expect(deep.ok ? "read" : deep.reason).toBe("undrawable");
    const none = loadsOf(body, {
      exercise: { id: "no-such", drawnLike: undefined },
      settings: {},
      loadKg: 0,
    });
    expect(none).toEqual({ ok: false, reason: "no-figure" });
  });
});
