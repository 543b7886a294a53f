import { startingExercises } from "~/catalogue/exercises/all";
import { synonyms } from "~/catalogue/exercises/synonyms";
import { stageNeeds } from "~/catalogue/stage-needs/all";
import type { Exercise } from "~/core/exercise/exercise";
import { exerciseIndex, type ExerciseIndex } from "~/core/progression/exercise-search";
import type { StaffContext } from "~/server/staff-context";
import { notFound } from "~/server/http/problem";
import { pool, type Queryable } from "~/server/db/connection";
import { forgottenBy } from "~/server/remembered";
import { catalogueEntries, catalogueVersion } from "./catalogue-repository";

/** A clinic's catalogue: the starting one with what the clinic added, revised and retired laid over it. */
export interface ClinicCatalogue {
  readonly version: number;
  /** In use: retired ones are left out. */
  readonly exercises: readonly Exercise[];
  readonly own: ReadonlySet<string>;
  readonly retired: ReadonlySet<string>;
  readonly index: ExerciseIndex;
}

const keptClinics = 50;
const kept = new Map<string, ClinicCatalogue>();
forgottenBy(() => kept.clear());

/** The clinic's catalogue as it stands. What was made before is used again while the database says it still holds. */
export async function clinicCatalogue(clinicId: string, db: Queryable = pool()): Promise<ClinicCatalogue> {
  const version = await catalogueVersion(db, clinicId);
  const before = kept.get(clinicId);
  if (before?.version === version) return before;
  const entries = new Map((await catalogueEntries(db, clinicId)).map((entry) => [entry.code, entry]));
  const starting = startingExercises.map((exercise) => entries.get(exercise.id)?.exercise ?? exercise);
  const startingCodes = new Set(startingExercises.map((exercise) => exercise.id));
  const added = [...entries.values()].flatMap(({ code, exercise }) =>
    exercise && !startingCodes.has(code) ? [exercise] : [],
  );
  const retired = new Set([...entries.values()].filter((entry) => entry.retired).map((entry) => entry.code));
  const exercises = [...starting, ...added].filter((exercise) => !retired.has(exercise.id));
  const own = new Set([...entries.values()].filter((entry) => entry.exercise).map((entry) => entry.code));
  const made = { version, exercises, own, retired, index: exerciseIndex(exercises, stageNeeds, synonyms) };
  kept.delete(clinicId);
  kept.set(clinicId, made);
  const [oldest] = kept.keys();
  if (kept.size > keptClinics && oldest !== undefined) kept.delete(oldest);
  return made;
}

/** One exercise of the clinic's catalogue, as it is in use. @throws ApiProblem 404 */
export async function exerciseInUse(staff: StaffContext, code: string): Promise<Exercise> {
  const { exercises } = await clinicCatalogue(staff.clinicId);
  const found = exercises.find((exercise) => exercise.id === code);
  if (!found) throw notFound();
  return found;
}
