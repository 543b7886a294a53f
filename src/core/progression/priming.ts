import { firstPrescription, type Exercise } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import type { ItemRole } from "~/core/exercise/role";

export interface PrimedItem {
  readonly role: ItemRole;
  readonly exercise: Exercise;
  readonly prescription: Prescription;
}

/** A heavy exercise without a primer, and the primer it could have. */
export interface Priming {
  readonly exercise: Exercise;
  readonly primer: Prescription;
}

/** Families whose heavy sets are primed by the same movement without load. */
const primedFamilies: ReadonlySet<string> = new Set(["two-leg-squat"]);
const heavyPlaces: ReadonlySet<unknown> = new Set(["bar", "goblet"]);

/**
 * Heavy two-leg squats that nothing primes: for each the same movement without its load, two slow sets of five with a pause half-way up,
 * where knees usually cave. Nothing is missing where some primer of its lane stands in the plan.
 *
 * @param items of the plan with their roles
 * @example priming([]) // []
 * Source: common practice.
 */
export function priming(items: readonly PrimedItem[]): Priming[] {
  const primed = new Set(items.flatMap(({ role, exercise }) => (role === "primer" ? [exercise.lane] : [])));
  return items.flatMap(({ role, exercise, prescription }) => {
    const isHeavy =
      role === "main" &&
      primedFamilies.has(exercise.family ?? "") &&
      heavyPlaces.has(prescription.settings["load-place"]) &&
      (prescription.dose.loadKg ?? 0) > 0;
    const primer = isHeavy && !primed.has(exercise.lane) ? primerOf(exercise, prescription) : null;
    return primer ? [{ exercise, primer }] : [];
  });
}

/** The last form without load, as deep as the heavy one. */
function primerOf(exercise: Exercise, { settings, dose }: Prescription): Prescription | null {
  const light = exercise.variants.findLast(
    (variant) => variant.settings["load-place"] === "none" && variant.dose.loadKg === undefined,
  );
  if (!light) return null;
  const first = firstPrescription(light);
  const depth = settings["knee-angle"];
  return {
    ...first,
    settings: depth === undefined ? first.settings : { ...first.settings, "knee-angle": depth },
    dose: {
      style: "control",
      policy: "fixed",
      sets: 2,
      reps: { bottom: 5, top: 5 },
      tempo: "3-1-1-0",
      halfwayPauseSeconds: 2,
      restSeconds: 30,
      daysPerWeek: dose.daysPerWeek,
    },
  };
}
