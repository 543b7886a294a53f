import { describe, expect, it } from "vitest";
import { bookOfBody } from "~/catalogue/demands/book";
import { startingExercises } from "~/catalogue/exercises/all";
import { firstPrescription, variantOf, type Exercise } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import { doseMinutes } from "~/core/dose/dose-minutes";
import { sidesOf } from "~/core/exercise/sides-of";
import { fullGym } from "~/core/exercise/kit";
import { harder } from "~/core/progression/harder";
import { easierVariant } from "~/core/progression/easier";
import { someIntake } from "~tests/builders/intake";
import { placed } from "~tests/builders/placed";
import { obstacle } from "./obstacle";
import type { Restriction } from "./restriction";

/**
 * Work of one leg alone, reasoned by hand: a leg that may carry nothing lets the other one press, kneels on nothing, and does not
 * stand while the other works. Common practice.
 */
const book = bookOfBody({ heightM: 1.75 });
const today = "2026-03-10";
const surgeon = { origin: "surgeon", says: "no weight on the leg" } as const;
const noWeight: Restriction = { kind: "bearing", most: "none", ...surgeon };

function barred(variantId: string, leg: Prescription["leg"] | undefined, limit: Restriction): boolean {
  const exercise = startingExercises.find(({ variants }) => variants.some(({ id }) => id === variantId));
  if (!exercise) throw new Error(`no ${variantId}`);
  const variant = variantOf(exercise, variantId);
  const prescription = firstPrescription(variant, leg);
  return obstacle(prescription, variant, exercise, [limit], today, book) !== null;
}

describe("under 'no weight on the leg'", () => {
  it.each([
    // Each in turn: the affected leg would have to press, stand or carry when its turn comes.
    ["a press of one leg, in turn", "leg-press-single", undefined, true],
    ["of the affected leg", "leg-press-single", "affected", true],
    ["of the other leg", "leg-press-single", "other", false],
    ["a heel raise on the other leg", "calf-raise-single", "other", false],
    ["a bridge on the other leg: the affected one hangs", "straight-bridge-single", "other", false],
    ["a bridge on the affected leg", "straight-bridge-single", "affected", true],
    ["kicks of the affected leg, standing on the other", "standing-kick-side", "affected", false],
    ["kicks of the other leg stand on the affected one", "standing-kick-side", "other", true],
    ["a split squat stands on both, whichever works", "split-squat-free", "other", true],
  ] as const)("%s", (_what, variantId, leg, isBarred) => {
    expect(barred(variantId, leg, noWeight)).toBe(isBarred);
  });
});

describe("under 'knee to 60°'", () => {
  const kneeTo60: Restriction = { kind: "range-limit", joint: "knee", mostDeg: 60, ...surgeon };
  it("the other leg bends as far as it likes on the machine, the affected one does not", () => {
    expect(barred("extension-machine-single", "affected", kneeTo60)).toBe(true);
    expect(barred("extension-machine-single", undefined, kneeTo60)).toBe(true);
    // The affected knee hangs bent beside it: what is drawn of it counts, worked or not.
    expect(barred("extension-machine-single", "other", kneeTo60)).toBe(true);
    expect(barred("straight-bridge-single", "other", kneeTo60)).toBe(false);
  });
});

describe("one leg alone", () => {
  const press = startingExercises.find(({ id }) => id === "leg-press");
  if (!press) throw new Error("no leg press");
  const single = variantOf(press, "leg-press-single");
  const alone = firstPrescription(single, "other");

  it("has its sets on one side, and takes that side's time", () => {
    expect(sidesOf(press, alone)).toBe("one-side");
    const each = doseMinutes({ dose: alone.dose, sides: "each-side" });
    const one = doseMinutes({ dose: alone.dose, sides: sidesOf(press, alone) });
    expect(one.workSeconds).toBe(each.workSeconds / 2);
  });
  it("stays the leg that works when a knob or the variant is turned, until the legs share the work", () => {
    const up = harder(press, alone, { restrictions: [], today, book });
    expect(up).toMatchObject({ found: "change", change: { prescription: { leg: "other" } } });
    const oneBack = easierVariant(press, alone);
    expect(oneBack?.prescription).toMatchObject({
      settings: { laterality: "both-up-one-down" },
      leg: "other",
    });
    const shared = oneBack && easierVariant(press, oneBack.prescription);
    expect(shared?.prescription.settings["laterality"]).toBe("both");
    expect(shared?.prescription).not.toHaveProperty("leg");
  });
});

describe("placing somebody who may put no weight on the leg", () => {
  const exercises = startingExercises.filter(({ id }) => ["calf-raise", "single-leg-stance"].includes(id));
  const intake = someIntake("in-season-prehab", { kit: [...fullGym], limits: [noWeight] });
  const chosen = (who = intake, all: readonly Exercise[] = exercises) =>
    placed(who, { exercises: all }).lanes.filter((lane) => lane.chosen !== null);

  it("gives the other leg work where nothing is allowed for the affected one, and says so; balance is no strength", () => {
    const lanes = chosen();
    expect(lanes.map(({ lane }) => lane)).toEqual(["calf"]);
    expect(lanes[0]?.chosen?.prescription.leg).toBe("other");
    expect(lanes[0]?.reasons.map(({ code }) => code)).toContain("other-leg");
  });
  it("leaves the affected leg what it may do", () => {
    const calf = chosen(intake, startingExercises).find(({ lane }) => lane === "calf");
    expect(calf?.chosen?.prescription).not.toHaveProperty("leg");
  });
  it("knows no other leg with both affected", () => {
    expect(chosen({ ...intake, involvedSide: "both" })).toEqual([]);
  });
});
