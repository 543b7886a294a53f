import type { StairItem } from "~/contract/episode";
import { firstPrescription, variantOf, type Exercise } from "~/core/exercise/exercise";

/** What is looked at: an item of the plan, or an exercise of the library that is not in it. */
export interface LabSubject extends Pick<
  StairItem,
  "exercise" | "prescription" | "name" | "variantName" | "painArcs"
> {
  /** Null outside of the plan. */
  readonly itemId: string | null;
}

/** An exercise of the library as it would begin; of several variants the one asked for, or else the first. */
export function ofLibrary(exercise: Exercise, variantId: string | null): LabSubject {
  const variant = exercise.variants.find(({ id }) => id === variantId) ?? exercise.variants[0];
  const prescription = firstPrescription(variantOf(exercise, variant?.id ?? ""));
  return {
    itemId: null,
    exercise,
    prescription,
    name: exercise.name,
    variantName: variant?.name ?? "",
    painArcs: [],
  };
}

/** What tells one subject from another in a list: an item by its id, an exercise of the library by its code. */
export const subjectKey = ({ itemId, exercise }: LabSubject): string => itemId ?? exercise.id;
