import { describe, expect, it } from "vitest";
import { squat } from "~/catalogue/exercises/squats";
import type { Exercise } from "~/core/exercise/exercise";
import { check } from "~/core/schema/check";
import { ExerciseFile, exerciseFileProblems, newExerciseProblems } from "./exercise-file";

const file = (...exercises: Exercise[]): ExerciseFile => ({
  format: "patient-stair-exercises",
  version: 1,
  exercises,
});
const { muscles: _muscles, ...incomplete } = squat;

describe("a file of exercises", () => {
  it("of sound ones has no problem", () => {
    expect(exerciseFileProblems(file(squat, { ...squat, id: "own-squat" }), "/file")).toEqual([]);
    expect(newExerciseProblems(squat, "/e")).toEqual([]);
  });
  it("says what stands twice, at the later place and every time", () => {
    expect(exerciseFileProblems(file(squat, squat, squat), "/file")).toEqual([
      { path: "/file/exercises/1/id", problem: "two-leg-squat stands twice" },
      { path: "/file/exercises/2/id", problem: "two-leg-squat stands twice" },
    ]);
  });
  it("says what is missing or unsound in which exercise", () => {
    const paths = exerciseFileProblems(file(squat, { ...incomplete, id: "own" }), "/file").map(
      ({ path }) => path,
    );
    expect(paths).toEqual(["/file/exercises/1/muscles"]);
    const [first, ...rest] = squat.variants;
    if (!first) throw new Error("a squat has variants");
    const twin = { ...squat, variants: [first, { ...first, name: "Again" }, ...rest] };
    const unsound = newExerciseProblems(twin, "/e");
    expect(unsound.length).toBeGreaterThan(0);
    expect(unsound.every(({ path }) => path.startsWith("/e/"))).toBe(true);
  });
  it("is nothing else and no other version", () => {
    expect(check(ExerciseFile, file(squat)).ok).toBe(true);
    for (const other of [{ format: "exercises" }, { version: 2 }, { extra: 1 }, { exercises: undefined }])
      expect([JSON.stringify(other), check(ExerciseFile, { ...file(squat), ...other }).ok]).toEqual([
        JSON.stringify(other),
        false,
      ]);
  });
});
