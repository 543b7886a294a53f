import { turnWithLoad } from "./calendar-load";
import { turnTo, type TurnedChange } from "./change";
import { easierKnob, easierVariant } from "./easier";
import { variantOf, type Exercise } from "~/core/exercise/exercise";
import { variantChange, type HarderOptions } from "./harder";
import { notch } from "./notch";
import type { Prescription } from "~/core/exercise/prescription";
import { obstacle } from "~/core/limit/obstacle";
import { shelfUnder } from "~/core/limit/restriction";

/** A change a clinician may choose instead of the proposal, with what stands in its way. */
export interface AlternativeChange extends Pick<TurnedChange, "knob" | "from" | "to" | "prescription"> {
  readonly direction: "harder" | "easier";
  readonly kind: "knob" | "variant";
  readonly blockedBy: string | null;
}

/**
 * Every single change open to a clinician: each own knob one notch harder or easier, one set more or fewer, and the
 * neighbouring variants. Restrictions are named, not hidden.
 */
export function alternatives(
  exercise: Exercise,
  prescription: Prescription,
  { restrictions, today, book }: Pick<HarderOptions, "restrictions" | "today" | "book">,
): AlternativeChange[] {
  const variant = variantOf(exercise, prescription.variantId);
  const at = exercise.variants.indexOf(variant);
  const next = exercise.variants[at + 1];
  const ownSets = variant.turns.some((turn) => turn.knob === "sets");
  const { sets } = prescription.dose;
  const shelf = shelfUnder(restrictions, today);
  const harder: (TurnedChange | null)[] = [
    ...variant.turns.map((turn) => {
      const to = notch(turn, prescription, 1, shelf);
      return to === null ? null : turnWithLoad(variant.turns, prescription, turn.knob, to, shelf);
    }),
    ownSets ? null : turnTo(prescription, "sets", sets + 1),
    next ? variantChange(variant, next, prescription) : null,
  ];
  const easier: (TurnedChange | null)[] = [
    ...variant.turns.map((turn) => easierKnob(exercise, prescription, turn.knob, shelf)),
    ownSets || sets <= 1 ? null : turnTo(prescription, "sets", sets - 1),
    easierVariant(exercise, prescription),
  ];
  const described = (direction: "harder" | "easier") => (change: TurnedChange | null) => {
    if (!change) return [];
    const target = variantOf(exercise, change.prescription.variantId);
    const stop = obstacle(change.prescription, target, exercise, restrictions, today, book);
    return [{ ...change, direction, blockedBy: stop?.says ?? null }];
  };
  return [...easier.flatMap(described("easier")), ...harder.flatMap(described("harder"))];
}
