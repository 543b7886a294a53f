import { bookFor } from "~/catalogue/demands/book";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { adductorSlide, ballSqueeze } from "~/catalogue/exercises/adductors";
import { hinge } from "~/catalogue/exercises/hinges";
import { squat } from "~/catalogue/exercises/squats";
import { firstPrescription, variantOf, type Exercise } from "~/core/exercise/exercise";
import { harder } from "./harder";
import { loadNotch } from "./notch";
import type { Prescription } from "~/core/exercise/prescription";
import { type Restriction } from "~/core/limit/restriction";

const free = { restrictions: [], today: "2026-03-10", book: bookFor({ heightM: 1.75 }) };
const first = (exercise: Exercise, variantId: string) => firstPrescription(variantOf(exercise, variantId));

describe("restrictions stop a step and are named", () => {
  const squeeze = first(ballSqueeze, "ball-squeeze-bent");
  const slide = first(adductorSlide, "adductor-slide-held");
  const stops = (
    exercise: Exercise,
    prescription: Prescription,
    restriction: Restriction,
    today = "2026-03-10",
  ) => harder(exercise, prescription, { ...free, restrictions: [restriction], today });
  const says = "as written";

  it("a limit on a band compares its upper end", () => {
    const limit: Restriction = {
      kind: "knob-limit",
      knob: "effort",
      hardest: "30-40",
      origin: "stage",
      says,
    };
    expect(stops(ballSqueeze, squeeze, limit)).toMatchObject({ found: "restriction", knob: "effort" });
    expect(stops(ballSqueeze, squeeze, { ...limit, hardest: "50-70" })).toMatchObject({ found: "change" });
  });
  it("a limit on words compares their order", () => {
    const limit: Restriction = {
      kind: "knob-limit",
      knob: "range",
      hardest: "part",
      origin: "surgeon",
      says,
    };
    expect(stops(adductorSlide, slide, limit)).toMatchObject({ found: "restriction" });
  });
  it("kit that is not there, positions the person cannot take, variants the stage does not allow", () => {
    const stick = { ...first(hinge, "hinge-stick") };
    expect(stops(hinge, stick, { kind: "kit", available: [], origin: "kit", says })).toMatchObject({
      found: "restriction",
      restriction: { kind: "kit" },
    });
    const lying: Restriction = { kind: "position", cannot: ["supine"], origin: "person", says };
    expect(stops(ballSqueeze, squeeze, lying)).toMatchObject({ found: "restriction" });
    const only: Restriction = { kind: "variants", allowed: ["hinge-stick"], origin: "stage", says };
    expect(stops(hinge, stick, only)).toMatchObject({ found: "restriction" });
  });
  it("the surgeon's is named before any other", () => {
    const stage: Restriction = {
      kind: "knob-limit",
      knob: "effort",
      hardest: "30-40",
      origin: "stage",
      says: "stage",
    };
    const surgeon: Restriction = { ...stage, origin: "surgeon", says: "surgeon" };
    const result = harder(ballSqueeze, squeeze, { ...free, restrictions: [stage, surgeon] });
    expect(result).toMatchObject({ restriction: { says: "surgeon" } });
  });
  it("a limit holds up to and including its last day", () => {
    const limit: Restriction = {
      kind: "knob-limit",
      knob: "effort",
      hardest: "30-40",
      origin: "surgeon",
      says,
      until: "2026-03-10",
    };
    expect(stops(ballSqueeze, squeeze, limit).found).toBe("restriction");
    expect(stops(ballSqueeze, squeeze, limit, "2026-03-11").found).toBe("change");
  });
});

describe("load", () => {
  const shelf = { knob: "load" as const, stepPercent: 5, incrementKg: 2, maximumKg: 40 };

  /** 2–10 % is the range in print (ACSM 2009, recalled); small loads move by one increment instead. */
  it.each([
    [40, -5, 38],
    [36, 10, 38],
    [40, 5, null],
    [30, 10, 32],
    [38, 10, 40],
    [0, 5, 2],
    [8, 5, 10],
    [20, -20, 16],
    [2, -10, 0],
  ])("%d kg by %d %% becomes %s kg", (from, percent, to) => expect(loadNotch(shelf, from, percent)).toBe(to));

  it("stops at the end of the shelf and at nothing", () => {
    expect(loadNotch(shelf, 40, 5)).toBeNull();
    expect(loadNotch(shelf, 0, -10)).toBeNull();
  });
  it("is always a real change, on the shelf", () => {
    const percent = fc.constantFrom(-20, -10, 5, 10);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20 }), percent, (steps, by) => {
        const from = steps * 2;
        const to = loadNotch(shelf, from, by);
        if (to === null) return;
        expect(Math.abs(to - from)).toBeGreaterThanOrEqual(2);
        expect(to % 2).toBe(0);
        expect(Math.sign(to - from)).toBe(Math.sign(by));
      }),
    );
  });
});

describe("a shelf", () => {
  const shelf = { knob: "load" as const, kit: "dumbbells", stepPercent: 5, incrementKg: 2, maximumKg: 40 };
  const has = { dumbbells: [3, 5, 8, 12] };
  it.each([
    [5, 5, 8],
    [8, -20, 5],
    [3, -20, 0],
    [0, 5, 3],
    [12, 5, null],
    [12, -50, 5],
  ])("%d kg by %d %% becomes %s kg: what is there decides", (from, percent, to) =>
    expect(loadNotch(shelf, from, percent, has)).toBe(to),
  );
  it("that ends before the exercise does is named, and lighter work goes on", () => {
    const restriction: Restriction = {
      kind: "kit",
      available: ["dumbbells"],
      shelfKg: { dumbbells: [8] },
      origin: "kit",
      says: "nothing heavier than 8 kg at home",
    };
    const at = first(hinge, "hinge-loaded");
    expect(harder(hinge, at, { ...free, restrictions: [restriction] })).toMatchObject({
      found: "restriction",
      knob: "load",
      restriction: { says: "nothing heavier than 8 kg at home" },
    });
  });
});

it("a restriction counts from its first day to its last", () => {
  const limit: Restriction = {
    kind: "range-limit",
    joint: "knee",
    mostDeg: 60,
    origin: "surgeon",
    says: "60° to 12 March",
    from: "2026-03-08",
    until: "2026-03-12",
  };
  const squatting = first(squat, "squat-free");
  const on = (today: string) => harder(squat, squatting, { ...free, restrictions: [limit], today }).found;
  expect(["2026-03-07", "2026-03-08", "2026-03-12", "2026-03-13"].map(on)).toEqual([
    "change",
    "restriction",
    "restriction",
    "change",
  ]);
});
