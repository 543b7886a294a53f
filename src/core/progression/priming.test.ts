import { describe, expect, it } from "vitest";
import { squat, splitSquat } from "~/catalogue/exercises/squats";
import { firstPrescription, variantOf } from "~/core/exercise/exercise";
import { doseMinutes } from "~/core/dose/dose-minutes";
import { priming, type PrimedItem } from "./priming";

const item = (variantId: string, over: Partial<PrimedItem> = {}): PrimedItem => ({
  role: "main",
  exercise: squat,
  prescription: firstPrescription(variantOf(squat, variantId)),
  ...over,
});

/** 'A few controlled sets before a heavy squat day prime it' (common practice). */
describe("priming before heavy squats", () => {
  it.each([
    ["under a bar", [item("squat-bar")], 1],
    ["a weight at the chest", [item("squat-goblet")], 1],
    ["without load", [item("squat-free")], 0],
    ["optional", [item("squat-bar", { role: "optional" })], 0],
    ["primed by its own light form", [item("squat-bar"), item("squat-free", { role: "primer" })], 0],
    ["the light form as main work is no primer", [item("squat-bar"), item("squat-free")], 1],
  ] as const)("%s: %d", (_what, items, count) => expect(priming(items)).toHaveLength(count));

  it("other movements are not primed so, and bare bars are no load", () => {
    const loaded = variantOf(splitSquat, "split-squat-loaded");
    expect(
      priming([item("squat-bar", { exercise: splitSquat, prescription: firstPrescription(loaded) })]),
    ).toEqual([]);
    const bar = item("squat-bar").prescription;
    expect(
      priming([item("squat-bar", { prescription: { ...bar, dose: { ...bar.dose, loadKg: 0 } } })]),
    ).toEqual([]);
  });

  it("is the same movement without load, as deep, on the same days, two slow fives with a pause on the way up", () => {
    const heavy = item("squat-bar");
    const deep = { ...heavy.prescription, settings: { ...heavy.prescription.settings, "knee-angle": 75 } };
    const [found] = priming([{ ...heavy, prescription: deep }]);
    expect(found?.primer).toMatchObject({
      variantId: "squat-band",
      settings: { "knee-angle": 75, "load-place": "none" },
      dose: {
        sets: 2,
        reps: { bottom: 5, top: 5 },
        halfwayPauseSeconds: 2,
        daysPerWeek: deep.dose.daysPerWeek,
      },
    });
    if (!found) throw new Error("a heavy squat is primed");
    expect(doseMinutes({ dose: found.primer.dose, sides: "both-together" }).minutes).toBeLessThan(3);
  });
});
