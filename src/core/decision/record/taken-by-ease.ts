import { turnTo, type TurnedChange } from "~/core/progression/change";
import { variantOf } from "~/core/exercise/exercise";
import { knobByName } from "~/core/exercise/knob";
import { notch } from "~/core/progression/notch";
import type { KnobValue } from "~/core/exercise/prescription";
import type { DecideInput } from "~/core/decision/record/decide-input";

type Basis = Pick<DecideInput, "exercise" | "prescription" | "changes">;

/**
 * What an ease took from the present variant that no knob of its own order gives back: a set, or the bottom of a range.
 * The way up begins there, so that somebody eased climbs back by the same rules.
 *
 * @returns the change that gives it back, the one taken last first; null when nothing is owed
 */
export function takenByEase({ exercise, prescription, changes }: Basis): TurnedChange | null {
  const { turns } = variantOf(exercise, prescription.variantId);
  for (const { direction, knob: name, before } of changes.toReversed()) {
    if (before && before.variantId !== prescription.variantId) return null;
    if (direction !== "easier" || !before || name === undefined) continue;
    const own = turns.find((turn) => turn.knob === name);
    if (own && notch(own, prescription, 1) !== null) continue;
    const knob = knobByName(name);
    const hardest = knob.words?.at(-1);
    const [was, is] = [knob.read(before) ?? hardest, knob.read(prescription) ?? hardest];
    if (was === undefined || is === undefined) continue;
    if (knob.rank(was) > knob.rank(is) || lowerEnd(was) > lowerEnd(is))
      return turnTo(prescription, name, was);
  }
  return null;
}

/** The number a value begins with: 6 of "6-12"; NaN, and so never more than another, where it has none. */
const lowerEnd = (value: KnobValue) => Number.parseFloat(String(value));
