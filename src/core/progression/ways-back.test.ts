import { describe, expect, it } from "vitest";
import { squat, splitSquat } from "~/catalogue/exercises/squats";
import { sideStepUp, touchDown } from "~/catalogue/exercises/steps";
import { labelBook } from "~/core/demand/label-book";
import { firstPrescription, variantOf, type Exercise } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import { alternatives } from "./alternatives";
import { easier, easierKnob, easierNotch, easierVariant } from "./easier";
import { nearestWithin } from "./nearest-within";

const today = "2026-03-10";
const free = { restrictions: [], today, book: labelBook };
const first = (
  exercise: Exercise,
  id: string,
  settings: Prescription["settings"] = {},
  dose: Partial<Prescription["dose"]> = {},
): Prescription => {
  const own = firstPrescription(variantOf(exercise, id));
  return { ...own, settings: { ...own.settings, ...settings }, dose: { ...own.dose, ...dose } };
};
const said = (found: ReturnType<typeof easier>) =>
  found.found === "change" ? `${found.change.knob} ${found.change.from} to ${found.change.to}` : found.found;

describe("the setting before", () => {
  it.each([
    [
      "one notch of the knob turned last",
      first(sideStepUp, "side-step-up-free", { "step-height": 15 }),
      "step-height 15 to 10",
    ],
    [
      "at its first setting the variant before, its own knobs at their top",
      first(sideStepUp, "side-step-up-free", { "step-height": 5 }),
      "support none to one-hand",
    ],
    ["the easiest there is", first(sideStepUp, "side-step-up-held", { "step-height": 5 }), "spent"],
    [
      "the last knob that was turned, not the first",
      first(squat, "squat-free", { "knee-angle": 90 }, { tempo: "3-1-1-0" }),
      "tempo 3-1-1-0 to 1.5-0-1.5-0",
    ],
  ])("%s", (_what, at, expected) => {
    const exercise = at.variantId.startsWith("side") ? sideStepUp : squat;
    expect(said(easier(exercise, at, free))).toBe(expected);
  });
  it("comes back at the top of the variant before", () => {
    const found = easier(sideStepUp, first(sideStepUp, "side-step-up-free", { "step-height": 5 }), free);
    expect(found).toMatchObject({
      change: {
        kind: "variant",
        prescription: { variantId: "side-step-up-held", settings: { "step-height": 20 } },
      },
    });
  });
  it("where that way is barred the next is tried; where all are, the first limit is named", () => {
    const at = first(sideStepUp, "side-step-up-free", { "step-height": 5 });
    const noHands = {
      kind: "knob-limit",
      knob: "support",
      most: "none",
      origin: "clinician",
      says: "nothing to hold",
    } as never;
    expect(["restriction", "change"]).toContain(
      easier(sideStepUp, at, { ...free, restrictions: [noHands] }).found,
    );
  });
});

describe("a knob back, and nothing where it has no way back", () => {
  const at = first(sideStepUp, "side-step-up-free", { "step-height": 15 });
  it.each([
    ["step-height", "step-height 15 to 10"],
    ["load", null],
    ["no such knob", null],
  ])("%s", (knob, expected) => {
    const change = easierKnob(sideStepUp, at, knob, {});
    expect(change && `${change.knob} ${change.from} to ${change.to}`).toBe(expected);
  });
  it("the easiest setting has no notch back", () => {
    expect(
      easierNotch(sideStepUp, first(sideStepUp, "side-step-up-free", { "step-height": 5 }), {}),
    ).toBeNull();
    expect(easierNotch(sideStepUp, at, {})).toMatchObject({ knob: "step-height", to: 10 });
  });
});

describe("the variant before", () => {
  it("is no deeper, higher or heavier than things stand now", () => {
    const low = easierVariant(sideStepUp, first(sideStepUp, "side-step-up-free", { "step-height": 5 }));
    expect(low?.prescription.settings["step-height"]).toBe(5);
    const high = easierVariant(sideStepUp, first(sideStepUp, "side-step-up-free", { "step-height": 25 }));
    expect(high?.prescription.settings["step-height"]).toBe(10);
    const back = easierVariant(touchDown, first(touchDown, "touch-down-free", { "sit-back-at": "45" }));
    expect(back?.prescription.settings["sit-back-at"]).toBe("45");
  });
  it("keeps a lighter load where both have one", () => {
    const light = easierVariant(squat, first(squat, "squat-bar", {}, { loadKg: 6 }));
    expect(light?.prescription).toMatchObject({ variantId: "squat-goblet", dose: { loadKg: 6 } });
    const heavy = easierVariant(squat, first(squat, "squat-bar", {}, { loadKg: 60 }));
    expect(heavy?.prescription.dose.loadKg).toBe(8);
    expect(easierVariant(squat, first(squat, "squat-goblet"))?.prescription.dose.loadKg).toBeUndefined();
  });
  it("the first has none, and a leg that works alone goes along", () => {
    expect(easierVariant(squat, first(squat, "squat-held"))).toBeNull();
    const left = { ...first(sideStepUp, "side-step-up-free"), leg: "affected" as const };
    expect(easierVariant(sideStepUp, left)?.prescription.leg).toBe("affected");
  });
});

describe("the nearest setting that is allowed", () => {
  const lower =
    (most: number) =>
    ({ settings }: Prescription) =>
      Number(settings["step-height"]) <= most;
  const at = first(sideStepUp, "side-step-up-loaded", { "step-height": 25 }, { loadKg: 10 });
  it("turns one knob back as far as it takes, from where it stands", () => {
    expect(nearestWithin(sideStepUp, at, lower(20), {})).toMatchObject({
      knob: "step-height",
      from: 25,
      to: 20,
    });
    expect(nearestWithin(sideStepUp, at, lower(5), {})).toMatchObject({
      knob: "step-height",
      from: 25,
      to: 5,
    });
  });
  it("the knob that needs the fewest notches", () => {
    const either = ({ settings, dose }: Prescription) =>
      Number(settings["step-height"]) <= 10 || (dose.loadKg ?? 0) <= 8;
    expect(nearestWithin(sideStepUp, at, either, {})).toMatchObject({ knob: "load", from: 10, to: 8 });
    const other = ({ settings, dose }: Prescription) =>
      Number(settings["step-height"]) <= 20 || (dose.loadKg ?? 0) <= 4;
    expect(nearestWithin(sideStepUp, at, other, {})).toMatchObject({ knob: "step-height", to: 20 });
  });
  it("else the nearest easier variant", () => {
    const held = ({ variantId }: Prescription) => variantId === "side-step-up-held";
    expect(nearestWithin(sideStepUp, at, held, {})).toMatchObject({
      kind: "variant",
      prescription: { variantId: "side-step-up-held" },
    });
    const unloaded = ({ settings }: Prescription) => settings["load-place"] === "none";
    expect(nearestWithin(sideStepUp, at, unloaded, {})).toMatchObject({
      prescription: { variantId: "side-step-up-free" },
    });
  });
  it("nothing where nothing easier is allowed", () => {
    expect(nearestWithin(sideStepUp, at, () => false, {})).toBeNull();
    expect(
      nearestWithin(sideStepUp, first(sideStepUp, "side-step-up-held", { "step-height": 5 }), () => true, {}),
    ).toBeNull();
  });
});

describe("what a clinician may choose instead", () => {
  const told = (exercise: Exercise, at: Prescription, options = free) =>
    alternatives(exercise, at, options).map(
      ({ direction, knob, from, to }) => `${direction}: ${knob} ${from} to ${to}`,
    );
  it("every own knob both ways, a set more or fewer, the neighbours; easier ones first", () => {
    expect(told(sideStepUp, first(sideStepUp, "side-step-up-free", { "step-height": 15 }))).toEqual([
      "easier: step-height 15 to 10",
      "easier: sets 3 to 2",
      "easier: support none to one-hand",
      "harder: step-height 15 to 20",
      "harder: sets 3 to 4",
      "harder: load-place none to hands",
    ]);
  });
  it("at the ends there is less: one set has no fewer, the first variant none before it, the last none after", () => {
    expect(
      told(sideStepUp, first(sideStepUp, "side-step-up-held", { "step-height": 5 }, { sets: 1 })),
    ).toEqual(["harder: step-height 5 to 10", "harder: sets 1 to 2", "harder: support one-hand to none"]);
    const heaviest = first(sideStepUp, "side-step-up-loaded", { "step-height": 25 }, { loadKg: 40 });
    expect(told(sideStepUp, heaviest)).toEqual([
      "easier: step-height 25 to 20",
      "easier: load 40 to 38",
      "easier: sets 3 to 2",
      "easier: load-place hands to none",
      "harder: sets 3 to 4",
    ]);
  });
  it("names what stands in the way, and hides nothing", () => {
    const limit = {
      kind: "range-limit",
      joint: "knee",
      mostDeg: 60,
      origin: "surgeon",
      says: "knee bend to 60°",
    } as const;
    const at = first(splitSquat, "split-squat-held", {});
    const found = alternatives(splitSquat, at, { ...free, restrictions: [limit] });
    expect(found.length).toBe(alternatives(splitSquat, at, free).length);
    expect(found.every(({ blockedBy }) => blockedBy === "knee bend to 60°")).toBe(true);
    expect(alternatives(splitSquat, at, free).every(({ blockedBy }) => blockedBy === null)).toBe(true);
  });
});
