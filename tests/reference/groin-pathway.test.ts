import { describe, expect, it } from "vitest";
import { startingExercises } from "~/catalogue/exercises/all";
import { groinMeasures } from "~/catalogue/measures/groin";
import { groinPathway } from "~/catalogue/pathways/groin";
import { Pathway, stageOf } from "~/core/pathway/pathway";
import { Exercise } from "~/core/exercise/exercise";
import { exerciseProblems } from "~/core/progression/exercise-problems";
import { check } from "~/core/schema/check";

const criterion = (stage: string, id: string) => {
  const found = stageOf(groinPathway, stage).gate?.criteria.find((c) => c.id === id);
  if (!found) throw new Error(`${stage} has no criterion ${id}`);
  return found;
};

describe("published thresholds stand in the data, with their sources", () => {
  it("adductors at 0.8 of the abductors (Tyler 2001, recalled)", () => {
    expect(criterion("build", "adductor-ratio")).toMatchObject({
      comparison: ">=",
      threshold: 0.8,
      source: { kind: "published", cite: "Tyler 2001", recalled: true },
    });
  });
  it("pain in the 5-second squeeze at most 2/10 (Thorborg 2017, recalled)", () => {
    for (const stage of ["build", "run-and-return"]) {
      expect(criterion(stage, "squeeze-pain")).toMatchObject({
        comparison: "<=",
        threshold: 2,
        source: { cite: "Thorborg 2017" },
      });
    }
  });
  it.each([
    ["build", 80],
    ["load-and-spring", 90],
    ["run-and-return", 95],
  ])("single-side adduction out of %s: %i %% (common practice)", (stage, threshold) => {
    expect(criterion(stage, "adduction-symmetry")).toMatchObject({ kind: "symmetry", threshold });
  });
});

describe("the pathway is whole", () => {
  it("fits its schema and ends in keeping, without a gate", () => {
    expect(check(Pathway, groinPathway).ok).toBe(true);
    expect(groinPathway.stages).toHaveLength(6);
    expect(groinPathway.stages.map((stage) => stage.gate !== undefined)).toEqual([
      true,
      true,
      true,
      true,
      true,
      false,
    ]);
  });
  it("criteria name measures and exercises that exist", () => {
    const measures = new Set(groinMeasures.map((m) => m.code));
    const exercises = new Set(startingExercises.map((e) => e.id));
    for (const stage of groinPathway.stages) {
      for (const lane of stage.lanes) for (const id of lane.exercises) expect(exercises).toContain(id);
      for (const c of stage.gate?.criteria ?? []) {
        if ("measure" in c) expect(measures).toContain(c.measure);
        if ("over" in c) expect(measures).toContain(c.over);
        if ("exercise" in c) expect(exercises).toContain(c.exercise);
      }
    }
  });
  it("every exercise stands in the lane that names it", () => {
    for (const { lanes } of groinPathway.stages) {
      for (const { lane, exercises } of lanes) {
        for (const id of exercises) expect(startingExercises.find((e) => e.id === id)?.lane).toBe(lane);
      }
    }
  });
});

it.each(startingExercises.map((exercise) => [exercise.id, exercise] as const))(
  "%s is sound",
  (_id, exercise) => {
    expect(check(Exercise, exercise)).toMatchObject({ ok: true });
    expect(exerciseProblems(exercise)).toEqual([]);
  },
);
