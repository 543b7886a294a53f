import type { LibraryPatient } from "~/contract/library";
import type { Exercise } from "~/core/exercise/exercise";
import { signingRoles } from "~/contract/roles";
import type { StaffContext } from "~/server/staff-context";
import { loadEpisode, noteRead } from "~/server/case/load-episode";
import { notFound } from "~/server/http/problem";
import { clinicCatalogue } from "./clinic-catalogue";
import { patientOf } from "./read-library";

interface LibraryExerciseView {
  readonly exercise: Exercise;
  readonly variantId: string;
  readonly own: boolean;
  readonly mayEdit: boolean;
  readonly patient: LibraryPatient | null;
  /** Every exercise in use, for links and comparison. */
  readonly names: readonly (readonly [id: string, name: string])[];
}

/**
 * One exercise of the library, at a variant, for a patient or for nobody in particular.
 *
 * @throws ApiProblem 404 when the exercise or the patient is not this clinic's
 */
export async function readLibraryExercise(
  staff: StaffContext,
  code: string,
  { variantId, episodeId }: { variantId: string | null; episodeId: string | null },
): Promise<LibraryExerciseView> {
  const { exercises, own } = await clinicCatalogue(staff.clinicId);
  const exercise = exercises.find(({ id }) => id === code);
  if (!exercise) throw notFound();
  const variant = exercise.variants.find(({ id }) => id === variantId) ?? exercise.variants[0];
  let patient: LibraryPatient | null = null;
  if (episodeId) {
    const loaded = await loadEpisode(staff, episodeId);
    await noteRead(staff, episodeId, "read-library");
    patient = patientOf(staff, loaded);
  }
  return {
    exercise,
    variantId: variant?.id ?? "",
    own: own.has(exercise.id),
    mayEdit: signingRoles.includes(staff.role),
    patient,
    names: exercises.map(({ id, name }) => [id, name] as const),
  };
}
