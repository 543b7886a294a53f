import type { WeekItem } from "./week";

/**
 * What may be done before a training on the same day: waking muscles up and balance. Whatever tires or lengthens comes after it.
 *
 * @param items of one day, in their order
 * @example beforeTraining([{ id: "a", minutes: 5, minDays: 1, maxDays: 1, lanes: [], kit: [], phase: "control" }, { id: "b", minutes: 5, minDays: 1, maxDays: 1, lanes: [], kit: [], heavyLegs: true }]).map(({ id }) => id) // ["a"]
 * Source: common practice: only light work, no lengthening, before a session on the field.
 */
export function beforeTraining(items: readonly WeekItem[]): WeekItem[] {
  return items.filter(
    ({ phase, heavyLegs, heavyMuscles, spring, lengthensHamstring }) =>
      (phase === "activation" || phase === "control") &&
      !heavyLegs &&
      !heavyMuscles &&
      !spring &&
      !lengthensHamstring,
  );
}
