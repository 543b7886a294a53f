import type { TurnedChange } from "./change";
import { variantOf, type Exercise } from "./exercise";
import { variantChange } from "./harder";
import { knobByName } from "./knob";
import { notch } from "./notch";
import type { KnobValue, Prescription } from "./prescription";

/** One notch easier on the named knob of the present variant, or null where it cannot be turned. */
export function easierKnob(
  exercise: Exercise,
  prescription: Prescription,
  knobName: string,
): TurnedChange | null {
  const turn = variantOf(exercise, prescription.variantId).turns.find((t) => t.knob === knobName);
  const to = turn ? notch(turn, prescription, -1) : null;
  return to === null ? null : turnTo(prescription, knobName, to);
}

/** The knob that was turned last in the variant's own order, one notch back; null at the easiest setting. */
export function easierNotch(exercise: Exercise, prescription: Prescription): TurnedChange | null {
  const { turns } = variantOf(exercise, prescription.variantId);
  for (const turn of [...turns].reverse()) {
    const change = easierKnob(exercise, prescription, turn.knob);
    if (change) return change;
  }
  return null;
}

/** The variant before this one in the progression, at its own first dose; null for the easiest. */
export function easierVariant(exercise: Exercise, prescription: Prescription): TurnedChange | null {
  const at = exercise.variants.findIndex((variant) => variant.id === prescription.variantId);
  const [previous, present] = [exercise.variants[at - 1], exercise.variants[at]];
  return previous && present ? variantChange(present, previous, prescription) : null;
}

/** A change of one knob to a given value. */
export function turnTo(prescription: Prescription, knobName: string, to: KnobValue): TurnedChange {
  const knob = knobByName(knobName);
  const next = knob.write(prescription, to);
  return { kind: "knob", knob: knobName, from: knob.read(prescription) ?? 0, to, prescription: next };
}
