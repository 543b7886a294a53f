import type { FieldProblem } from "~/core/schema/field-problem";
import type { Exercise } from "./exercise";
import type { Prescription } from "./prescription";
import { sidesOf } from "./sides-of";

/**
 * Why work cannot be given to one leg alone: the legs share it, or both are affected and 'the other' names neither.
 *
 * @param bothAffected both sides of the person are
 * @example legProblems({ sides: "both-together" }, { settings: {}, leg: "other" }, false, "/leg")
 *   // [{ path: "/leg", problem: "cannot be one alone: the legs share this work" }]
 */
export function legProblems(
  exercise: Pick<Exercise, "sides">,
  prescription: Pick<Prescription, "settings" | "leg">,
  bothAffected: boolean,
  path: string,
): FieldProblem[] {
  if (prescription.leg === undefined) return [];
  if (sidesOf(exercise, prescription) === "both-together")
    return [{ path, problem: "cannot be one alone: the legs share this work" }];
  return bothAffected ? [{ path, problem: "cannot be one alone: both legs are affected" }] : [];
}
