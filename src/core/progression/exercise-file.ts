import { Type, type Static } from "@sinclair/typebox";
import { Exercise } from "~/core/exercise/exercise";
import { exerciseProblems, missingFields } from "./exercise-problems";
import type { FieldProblem } from "~/core/schema/field-problem";

/** A clinic's own exercises as a file (*.exercises.json), for another clinic or a colleague. */
export const ExerciseFile = Type.Object(
  {
    format: Type.Literal("patient-stair-exercises"),
    version: Type.Literal(1),
    exercises: Type.Array(Exercise, { maxItems: 2000 }),
  },
  { additionalProperties: false },
);
export type ExerciseFile = Static<typeof ExerciseFile>;

/** What is wrong with the exercises of a file beyond its schema, by path; an id may stand once. */
export function exerciseFileProblems({ exercises }: ExerciseFile, path: string): FieldProblem[] {
  const repeated = exercises.flatMap(({ id }, i) =>
    exercises.findIndex((other) => other.id === id) < i
      ? [{ path: `${path}/exercises/${i}/id`, problem: `${id} stands twice` }]
      : [],
  );
  return [
    ...repeated,
    ...exercises.flatMap((exercise, i) => newExerciseProblems(exercise, `${path}/exercises/${i}`)),
  ];
}

/** What is wrong with an exercise that is to enter a catalogue, by path. */
export function newExerciseProblems(exercise: Exercise, path: string): FieldProblem[] {
  return [...missingFields(exercise), ...exerciseProblems(exercise)].map((p) => ({
    ...p,
    path: `${path}${p.path}`,
  }));
}
