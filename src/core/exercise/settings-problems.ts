import type { FieldProblem } from "~/core/schema/field-problem";
import { findKnob } from "./knob";
import type { Prescription } from "./prescription";

/**
 * Settings that no knob has, or at which it cannot stand.
 *
 * @example settingsProblems({ range: "huge" }, "/settings") // [{ path: "/settings/range", problem: "cannot stand at huge" }]
 */
export function settingsProblems(settings: Prescription["settings"], path: string): FieldProblem[] {
  return Object.entries(settings).flatMap(([name, value]) => {
    const knob = findKnob(name);
    if (knob?.accepts(value)) return [];
    return [{ path: `${path}/${name}`, problem: knob ? `cannot stand at ${value}` : "is not a knob" }];
  });
}
