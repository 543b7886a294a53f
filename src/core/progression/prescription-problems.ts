import type { Exercise } from "~/core/exercise/exercise";
import { findKnob } from "~/core/exercise/knob";
import { legProblems } from "~/core/exercise/leg-problems";
import type { Prescription } from "~/core/exercise/prescription";
import type { FieldProblem } from "~/core/schema/field-problem";
import { doseProblems } from "./dose-problems";

/**
 * Why a prescription makes no sense for an exercise: a variant or knobs that it has not, values at which no knob stands, a dose
 * that does not go with it, one leg of work that the legs share.
 *
 * @param bothAffected both sides of the person are
 * @param path where the prescription stands, for the problems' paths
 * @returns problems by path; empty when it can be prescribed
 */
export function prescriptionProblems(
  exercise: Exercise,
  prescription: Prescription,
  bothAffected: boolean,
  path = "",
): FieldProblem[] {
  const variant = exercise.variants.find(({ id }) => id === prescription.variantId);
  if (!variant) return [{ path: `${path}/variantId`, problem: "is not a variant of this exercise" }];
  const settings = Object.entries(prescription.settings).flatMap(([name, value]) => {
    const field = `${path}/settings/${name}`;
    if (variant.settings[name] === undefined)
      return [{ path: field, problem: "is not a knob of this variant" }];
    return findKnob(name)?.accepts(value) ? [] : [{ path: field, problem: `cannot stand at ${value}` }];
  });
  const missing = Object.keys(variant.settings)
    .filter((name) => prescription.settings[name] === undefined)
    .map((name) => ({ path: `${path}/settings/${name}`, problem: "is missing" }));
  return [
    ...settings,
    ...missing,
    ...doseProblems(prescription.dose, variant, `${path}/dose`),
    ...legProblems(exercise, prescription, bothAffected, `${path}/leg`),
  ];
}
