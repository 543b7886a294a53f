import { phases, type WeekItem } from "./week";

const afterSpring = phases.indexOf("spring");
const heavy = phases.indexOf("heavy");
const rest = heavy + 0.5;

/**
 * The order of a day: by phase; without one, spring before what is heavy for the legs before the rest. Equals stay as they are
 * listed.
 *
 * @example dayOrder([{ id: "a", minutes: 5, minDays: 1, maxDays: 1, lanes: [], kit: [] }, { id: "b", minutes: 5, minDays: 1, maxDays: 1, lanes: [], kit: [], phase: "spring" }]).map(({ id }) => id) // ["b", "a"]
 * Source: common practice: fresh for springs, heavy before small, stretching last.
 */
export function dayOrder(items: readonly WeekItem[]): WeekItem[] {
  return [...items].sort((a, b) => place(a) - place(b));
}

function place({ phase, spring, heavyLegs }: WeekItem): number {
  if (phase) return phases.indexOf(phase);
  if (spring) return afterSpring;
  return heavyLegs ? heavy : rest;
}
