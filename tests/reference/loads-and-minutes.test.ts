import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { dose } from "~/catalogue/exercises/compose";
import { findCalculation } from "~/catalogue/calculations/all";
import { runCalculation } from "~/core/calculation/calculation";

function run(name: string, input: unknown) {
  const definition = findCalculation(name);
  if (!definition) throw new Error(`${name} is registered`);
  return runCalculation(definition, input);
}
function value<T = Record<string, number>>(name: string, input: unknown): T {
  const result = run(name, input);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.value as T;
}
const paths = (name: string, input: unknown) => {
  const result = run(name, input);
  return result.ok ? [] : result.problems.map((p) => p.path);
};

/**
 * Repetition-maximum tables in print round these formulas: Epley 1985 (10 reps = 75 % of the maximum, 5 = 85.7 %,
 * 3 = 90.9 %); Brzycki 1993 (10 reps = 75 %, 5 = 88.9 %, 3 = 94.4 %). Recalled.
 */
describe("one-repetition maximum", () => {
  it.each([
    ["epley", 10, 133.333, 75],
    ["epley", 5, 116.667, 85.7],
    ["epley", 3, 110, 90.9],
    ["brzycki", 10, 133.333, 75],
    ["brzycki", 5, 112.5, 88.9],
    ["brzycki", 3, 105.882, 94.4],
    ["brzycki", 2, 102.857, 97.2],
  ] as const)("%s, 100 kg × %d: %d kg, so that the load is %d %%", (formula, reps, kg, percent) => {
    const { oneRepMaxKg } = value("one-rep-max", { loadKg: 100, reps, formula });
    expect(oneRepMaxKg).toBeCloseTo(kg, 2);
    expect(value("load-for-reps", { oneRepMaxKg: 100, reps, formula })["loadKg"]).toBeCloseTo(percent, 1);
  });
  it("is the load itself at one repetition, by both", () => {
    for (const formula of ["epley", "brzycki"])
      expect(value("one-rep-max", { loadKg: 80, reps: 1, formula })).toEqual({ oneRepMaxKg: 80 });
  });
  it("above twelve repetitions it says that it is not to be trusted", () => {
    expect(value("one-rep-max", { loadKg: 50, reps: 12, formula: "epley" })).not.toHaveProperty(
      "trustworthy",
    );
    expect(value("one-rep-max", { loadKg: 50, reps: 13, formula: "epley" })).toMatchObject({
      trustworthy: false,
    });
  });
  it("Brzycki ends at 36 repetitions, where the maximum is 36 times the load", () => {
    expect(value("one-rep-max", { loadKg: 10, reps: 36, formula: "brzycki" })["oneRepMaxKg"]).toBe(360);
    expect(paths("one-rep-max", { loadKg: 10, reps: 37, formula: "brzycki" })).toEqual(["/reps"]);
    expect(paths("load-for-reps", { oneRepMaxKg: 10, reps: 40, formula: "brzycki" })).toEqual(["/reps"]);
  });
  it.each([0, -5, 1001, "80", null])("refuses %j as a load", (loadKg) =>
    expect(paths("one-rep-max", { loadKg, reps: 5, formula: "epley" })).toContain("/loadKg"),
  );
  it("load-for-reps undoes one-rep-max", () => {
    const formula = fc.constantFrom("epley", "brzycki");
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 300, noNaN: true }),
        fc.integer({ min: 1, max: 36 }),
        formula,
        (loadKg, reps, by) => {
          const { oneRepMaxKg } = value("one-rep-max", { loadKg, reps, formula: by });
          fc.pre((oneRepMaxKg ?? 0) <= 1000);
          expect(value("load-for-reps", { oneRepMaxKg, reps, formula: by })["loadKg"]).toBeCloseTo(loadKg, 9);
        },
      ),
    );
  });
});

it("20 % of 70 kg is 14 kg; nobody of 19 kg, no share of nothing", () => {
  expect(value("body-weight-load", { bodyMassKg: 70, percent: 20 })).toEqual({ loadKg: 14 });
  expect(paths("body-weight-load", { bodyMassKg: 19, percent: 20 })).toEqual(["/bodyMassKg"]);
  expect(paths("body-weight-load", { bodyMassKg: 70, percent: 0 })).toEqual(["/percent"]);
});

/** Worked by hand, each line its own sum. */
describe("minutes by hand", () => {
  it("3 × 12 squats at 1.5-0-1.5-0, 90 s rest: 3 × 12 × 3 = 108 s work, 2 × 90 = 180 s rest, 4.8 min", () => {
    expect(value("dose-minutes", { dose: dose("strength"), sides: "both-together" })).toEqual({
      minutes: 4.8,
      workSeconds: 108,
      restSeconds: 180,
      contacts: 0,
    });
  });
  it("5 × 45 s tendon holds, 120 s rest, both legs: 225 s + 480 s = 11.75 min", () => {
    expect(value("dose-minutes", { dose: dose("isometric-tendon"), sides: "both-together" })).toMatchObject({
      minutes: 11.75,
      workSeconds: 225,
      restSeconds: 480,
    });
  });
  it("3 × 12 step-ups a side, alternating: the other leg's 36 s and two changes of 5 s stand for 46 of the 90 s", () => {
    // work 2 × 3 × 36 = 216; changes 5 × 5 = 25; still to wait 2 × (90 − 46) = 88
    expect(value("dose-minutes", { dose: dose("strength"), sides: "each-side" })).toEqual({
      minutes: 329 / 60,
      workSeconds: 216,
      restSeconds: 113,
      contacts: 0,
    });
  });
  it("the same, one side after the other: 2 × 2 × 90 + one change of 5 s of rest", () => {
    const given = dose("strength", { alternateSides: false });
    expect(value("dose-minutes", { dose: given, sides: "each-side" })).toMatchObject({
      workSeconds: 216,
      restSeconds: 365,
    });
  });
  it("3 × 30 s single-leg stance, 30 s rest: one leg rests while the other stands; 5 changes, no waiting", () => {
    expect(value("dose-minutes", { dose: dose("balance"), sides: "each-side" })).toMatchObject({
      workSeconds: 180,
      restSeconds: 25,
    });
  });
  it("control work, 2 × 20 held 3 s at 3 s a repetition: 2 × 20 × 6 = 240 s, one rest of 45 s", () => {
    expect(value("dose-minutes", { dose: dose("control"), sides: "both-together" })).toMatchObject({
      workSeconds: 240,
      restSeconds: 45,
      minutes: 4.75,
    });
  });
  it("3 × 8 hops a side: 48 contacts, 4 s a set; 120 s rest less 4 and two changes of 5", () => {
    expect(value("dose-minutes", { dose: dose("plyometric"), sides: "each-side" })).toEqual({
      contacts: 48,
      workSeconds: 24,
      restSeconds: 25 + 2 * 106,
      minutes: (24 + 237) / 60,
    });
  });
  it("heavy slow, 4 × 15 at 3-0-3-0, 150 s rest: 360 s + 450 s", () => {
    expect(value("dose-minutes", { dose: dose("heavy-slow"), sides: "both-together" })).toMatchObject({
      workSeconds: 360,
      restSeconds: 450,
    });
  });
  it("a circuit of two: 3 × (36 + 30) s work; 3 × 15 s between, 2 × 60 s between rounds", () => {
    const items = [
      { dose: dose("strength"), sides: "both-together" },
      { dose: dose("endurance"), sides: "both-together" },
    ];
    expect(
      value("circuit-minutes", { items, rounds: 3, betweenItemsSeconds: 15, betweenRoundsSeconds: 60 }),
    ).toMatchObject({ workSeconds: 198, restSeconds: 165 });
  });
  it("a tempo of no length and a dose that asks for nothing are refused", () => {
    const still = dose("strength", { tempo: "0-0-0-0" });
    expect(paths("dose-minutes", { dose: still, sides: "both-together" })).toEqual(["/dose/tempo"]);
    const empty = { ...dose("strength"), reps: undefined };
    expect(
      paths("dose-minutes", { dose: JSON.parse(JSON.stringify(empty)), sides: "both-together" }),
    ).toEqual(["/dose"]);
  });
});

/** Potach & Chu (NSCA Essentials), recalled: beginner 80–100, intermediate 100–120, advanced 120–140 a session. */
it("no first spring dose of the catalogue exceeds the beginner's 80 contacts", async () => {
  const { startingExercises } = await import("~/catalogue/exercises/all");
  const springs = startingExercises.flatMap((e) => e.variants.filter((v) => v.dose.contacts));
  expect(springs.length).toBeGreaterThan(10);
  for (const { id, dose: given } of springs) {
    const { contacts } = value("dose-minutes", { dose: given, sides: "each-side" });
    expect(contacts, id).toBeLessThanOrEqual(80);
  }
});

/** Kongsgaard 2009, recalled: 15 RM in week 1, 12 RM in 2–3, 10 RM in 4–5, 8 RM in 6–8, 6 RM in 9–12. */
it("heavy slow resistance runs twelve weeks from 15 to 6", () => {
  const { weeks } = value<{
    weeks: { week: number; from: string; repetitionMaximum: number; sets: number }[];
  }>("heavy-slow-calendar", { startOn: "2028-02-28" });
  expect(weeks.map((w) => w.repetitionMaximum)).toEqual([15, 12, 12, 10, 10, 8, 8, 8, 6, 6, 6, 6]);
  expect(weeks.every((w) => w.sets === 4)).toBe(true);
  expect(weeks[1]?.from).toBe("2028-03-06"); // across a leap day
});

/** ACSM 2009, recalled: raise the load by 2–10 % when the range is exceeded. */
it("every load of the catalogue steps by 2 to 10 %", async () => {
  const { startingExercises } = await import("~/catalogue/exercises/all");
  const turns = startingExercises.flatMap((e) => e.variants.flatMap((v) => v.turns));
  const percents = turns.flatMap((turn) => ("stepPercent" in turn ? [turn.stepPercent] : []));
  expect(percents.length).toBeGreaterThan(30);
  for (const percent of percents) expect(percent >= 2 && percent <= 10).toBe(true);
});

/** Distefano 2009 and Ayotte 2007, recalled; % of maximal voluntary isometric contraction (standard deviation). */
describe("activation tables", () => {
  interface Ranking {
    rows: {
      variantId: string;
      exerciseId: string;
      meanPercent: number;
      sdPercent: number;
      aboveThreshold: boolean;
    }[];
  }
  const ranking = (muscle: string) =>
    value<Ranking>("activation-ranking", { muscle, thresholdPercent: 40 }).rows;
  const figure = (muscle: string, variantId: string | null, exerciseId?: string) => {
    const row = ranking(muscle).find((r) =>
      variantId ? r.variantId === variantId : r.exerciseId === exerciseId,
    );
    return [row?.meanPercent, row?.sdPercent];
  };
  it.each([
    ["side-lying-lift-straight", [81, 42], [39, 18]],
    ["band-side-steps-shin", [61, 34], [27, 16]],
    ["hinge-single-free", [58, 25], [59, 28]],
    ["line-hops-across", [57, 35], [30, 19]],
    ["forward-lunge-free", [42, 21], [44, 23]],
    ["clam-60", [38, 29], [39, 34]],
    ["clam-30", [40, 38], [34, 27]],
  ])("%s: gluteus medius %j, maximus %j", (variantId, medius, maximus) => {
    expect(figure("gluteus-medius", variantId)).toEqual(medius);
    expect(figure("gluteus-maximus", variantId)).toEqual(maximus);
  });
  it("unilateral step and wall work, gluteus maximus", () => {
    expect(figure("gluteus-maximus", "front-step-up-free")).toEqual([74, 43]);
    expect(figure("gluteus-maximus", null, "side-step-up")).toEqual([56, 29]);
    expect(figure("gluteus-maximus", "back-step-up-free")).toEqual([59, 35]);
    expect(figure("gluteus-maximus", "wall-squat-single")).toEqual([86, 43]);
    expect(ranking("gluteus-maximus").filter((r) => r.exerciseId === "single-leg-squat")).toHaveLength(2);
  });
  it("ranks by mean, and 40 itself is not above 40", () => {
    const rows = ranking("gluteus-medius");
    expect(rows.map((r) => r.meanPercent)).toEqual([81, 64, 61, 58, 57, 42, 40, 38]);
    expect(rows.map((r) => r.aboveThreshold)).toEqual([true, true, true, true, true, true, false, false]);
  });
});
