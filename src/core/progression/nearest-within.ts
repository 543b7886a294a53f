import { variantOf, type Exercise } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import type { TurnedChange } from "./change";
import type { Shelf } from "./notch";
import { easierKnob, easierVariant } from "./easier";

/** A ladder is never longer than this. */
const notchesAtMost = 60;

/**
 * The nearest easier setting that is allowed: one knob turned back as far as it takes, the knob that needs the fewest notches
 * first; else the nearest easier variant of the progression at its first setting.
 *
 * @param allows whether no limit in force bars a setting
 * @param shelf the loads to hand
 * @returns null where nothing easier is allowed
 */
export function nearestWithin(
  exercise: Exercise,
  prescription: Prescription,
  allows: (setting: Prescription) => boolean,
  shelf: Shelf,
): TurnedChange | null {
  const { turns } = variantOf(exercise, prescription.variantId);
  const ways = turns.flatMap(({ knob }) => turnedBack(exercise, prescription, knob, allows, shelf) ?? []);
  const [nearest] = ways.sort((a, b) => a.notches - b.notches);
  if (nearest) return nearest.change;
  let step = easierVariant(exercise, prescription);
  while (step && !allows(step.prescription)) step = easierVariant(exercise, step.prescription);
  return step;
}

/** One knob turned back until it is allowed, with the notches that takes. */
function turnedBack(
  exercise: Exercise,
  prescription: Prescription,
  knob: string,
  allows: (setting: Prescription) => boolean,
  shelf: Shelf,
): { change: TurnedChange; notches: number } | null {
  const first = easierKnob(exercise, prescription, knob, shelf);
  if (!first) return null;
  let step: TurnedChange | null = first;
  for (let notches = 1; step && notches <= notchesAtMost; notches += 1) {
    if (allows(step.prescription)) return { change: { ...step, from: first.from }, notches };
    step = easierKnob(exercise, step.prescription, knob, shelf);
  }
  return null;
}
