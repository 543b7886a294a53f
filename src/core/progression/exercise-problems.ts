import { differingSetting } from "./harder";
import { knobs } from "./knob";
import type { Exercise, Variant } from "./exercise";
import type { Dose } from "~/core/dose/dose";
import type { FieldProblem } from "~/core/interchange/validate";

/**
 * What a schema cannot say about an exercise: knobs that do not exist, values a knob does not have, ladders that do
 * not run from easy to hard, a dose that asks for nothing, neighbours that differ in more than one knob.
 *
 * @returns problems by path; empty when the exercise is sound
 */
export function exerciseProblems(exercise: Exercise): FieldProblem[] {
  const variants = exercise.variants.flatMap((variant, i) => variantProblems(variant, `/variants/${i}`));
  if (variants.length > 0) return variants;
  return exercise.variants.slice(1).flatMap((variant, i) => {
    const previous = exercise.variants[i];
    if (!previous) return [];
    try {
      differingSetting(previous, variant);
      return [];
    } catch (error) {
      return [{ path: `/variants/${i + 1}`, problem: (error as RangeError).message }];
    }
  });
}

function variantProblems(variant: Variant, path: string): FieldProblem[] {
  const settings = Object.entries(variant.settings).flatMap(([name, value]) => {
    const knob = knobs.find((k) => k.name === name);
    if (!knob) return [{ path: `${path}/settings/${name}`, problem: "is not a knob" }];
    if (knob.words ? knob.words.includes(String(value)) : typeof value === "number") return [];
    return [{ path: `${path}/settings/${name}`, problem: `cannot stand at ${value}` }];
  });
  const turns = variant.turns.flatMap((turn, t) => {
    const knob = knobs.find((k) => k.name === turn.knob);
    const at = `${path}/turns/${t}`;
    if (!knob) return [{ path: `${at}/knob`, problem: `${turn.knob} is not a knob` }];
    if (!("ladder" in turn)) return [];
    const order = turn.ladder.map((value) =>
      knob.words ? knob.words.indexOf(String(value)) : upper(value) * (knob.harderIs === "up" ? 1 : -1),
    );
    if (knob.words && order.includes(-1))
      return [{ path: `${at}/ladder`, problem: `has a word ${turn.knob} lacks` }];
    const rises = order.every((value, i) => i === 0 || value > (order[i - 1] ?? -Infinity));
    return rises ? [] : [{ path: `${at}/ladder`, problem: "does not run from easy to hard" }];
  });
  return [...settings, ...turns, ...doseProblems(variant.dose, `${path}/dose`)];
}

/** A dose that says what one set is, with ranges the right way round. */
export function doseProblems(dose: Dose, path: string): FieldProblem[] {
  const { reps, hold, contacts, minutes, effort } = dose;
  const problems: FieldProblem[] = [];
  if (!reps && !hold && !contacts && minutes === undefined) {
    problems.push({ path, problem: "asks for nothing: give reps, a hold, contacts or minutes" });
  }
  for (const [name, range] of Object.entries({ reps, hold, contacts })) {
    if (range && range.bottom > range.top)
      problems.push({ path: `${path}/${name}`, problem: "bottom is above top" });
  }
  if (effort && effort.lowPercent > effort.highPercent) {
    problems.push({ path: `${path}/effort`, problem: "the lower end is above the upper" });
  }
  return problems;
}

function upper(value: number | string): number {
  return Number(String(value).split("-").at(-1));
}
