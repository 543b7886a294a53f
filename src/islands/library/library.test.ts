import { describe, expect, it } from "vitest";
import { newExerciseProblems } from "~/core/interchange/exercise-file";
import { startingExercises } from "~/catalogue/exercises/all";
import { firstPrescription, type Exercise } from "~/core/progression/exercise";
import { knobChoices, turnedTo } from "./knob-values";
import { addressOf, emptyQuery, filterCount, parametersOf, queryFrom } from "./library-query";
import { codeOf, draftOf, draftProblems, exerciseOf } from "./own-exercise";

const exercise = (id: string): Exercise => {
  const found = startingExercises.find((one) => one.id === id);
  if (!found) throw new Error(id);
  return found;
};

describe("the query in the address", () => {
  it("comes back as it went, and says nothing that is not asked", () => {
    const query = {
      ...emptyQuery,
      text: "hip & knee",
      lane: "hip-abductors",
      kit: "home",
      lowKneeBend: true,
    };
    expect(queryFrom(`?${addressOf(query)}`)).toEqual(query);
    expect(addressOf(emptyQuery)).toBe("");
    expect(filterCount(query)).toBe(3);
  });
  it("asks the endpoint with the kit written out", () => {
    expect(parametersOf(emptyQuery)).toBe("");
    expect(new URLSearchParams(parametersOf({ ...emptyQuery, kit: "home" })).get("kit")).toContain("chair");
  });
  it("a kit nobody knows is whatever it needs", () => expect(queryFrom("?kit=gold").kit).toBe("any"));
});

describe("knobs", () => {
  const squat = exercise("single-leg-squat");
  const first = firstPrescription(squat.variants[0] as Exercise["variants"][number]);
  it("offer every value that the exercise knows, easy to hard", () => {
    const choices = knobChoices(squat, first);
    expect(choices.find(({ name }) => name === "box-height")?.values).toEqual([65, 60, 55, 50, 45, 40]);
    expect(choices.find(({ name }) => name === "support")?.values).toEqual([
      "two-hands",
      "fingertips",
      "none",
    ]);
  });
  it("turned to another variant's settings, it is that variant, with the dose it had", () => {
    const turned = turnedTo(squat, first, "support", "fingertips");
    expect(turned.variantId).toBe("single-leg-squat-fingertips");
    expect(turned.dose).toEqual(first.dose);
  });
  it("turned to something between, it stays the variant it was", () => {
    expect(turnedTo(squat, first, "box-height", 45)).toMatchObject({
      variantId: first.variantId,
      settings: { "box-height": 45 },
    });
  });
  it("loads run in the steps of their kit", () => {
    const goblet = exercise("two-leg-squat").variants.find(({ id }) => id === "squat-goblet");
    const choices = knobChoices(
      exercise("two-leg-squat"),
      firstPrescription(goblet as Exercise["variants"][number]),
    );
    const loads = choices.find(({ name }) => name === "load")?.values ?? [];
    expect(loads).toContain(8);
    expect(loads).toContain(10);
    expect(Math.max(...loads.map(Number))).toBeLessThanOrEqual(32);
  });
});

describe("an exercise of the clinic's own", () => {
  const base = exercise("clam");
  const draft = { ...draftOf(base, true), name: "Clam at the pool edge" };
  it("has its own ids, borrows the figure, and is sound by the catalogue's own rules", () => {
    const made = exerciseOf(base, draft, true);
    expect(made).toMatchObject({ id: "clam-at-the-pool-edge", drawnLike: "clam" });
    expect(made.variants.map(({ id }) => id)).toEqual(made.variants.map((_v, n) => `${made.id}-${n + 1}`));
    expect(newExerciseProblems(made, "")).toEqual([]);
  });
  it("does not take over activity that was measured on another exercise", () => {
    expect(base.activation?.length).toBeGreaterThan(0);
    expect(exerciseOf(base, draft, true).activation).toBeUndefined();
    expect(exerciseOf(base, draftOf(base, false), false).activation).toEqual(base.activation);
  });
  it("without a name, cues or variants says so at the field", () => {
    const empty = { ...draft, name: " ", cues: "", variants: [] };
    expect(draftProblems(empty, []).map(({ path }) => path)).toEqual(["/name", "/cues", "/variants"]);
  });
  it("may not have the name of another, nor five cues", () => {
    const problems = draftProblems({ ...draft, name: "CLAM", cues: "a\nb\nc\nd\ne" }, ["Clam"]);
    expect(problems).toEqual([
      { path: "/name", problem: "nameTaken" },
      { path: "/cues", problem: "tooMany" },
    ]);
  });
  it("codes are plain", () => expect(codeOf("  Éxtension — 45° ")).toBe("extension-45"));
});
