import type { TurnedChange } from "./change";
import { firstPrescription, variantOf, type Exercise } from "./exercise";
import { knobByName, turnedKnobs } from "./knob";
import { notch } from "./notch";
import type { Prescription } from "./prescription";
import { obstacle, type Restriction } from "./restriction";

export interface HarderOptions {
  readonly restrictions: readonly Restriction[];
  /** Local date, for restrictions that end. */
  readonly today: string;
  /** Knobs that are left alone, for example because they were eased twice after stepping. */
  readonly leaveAlone?: readonly string[];
}

/** One knob turned harder; or the restriction in the way; or nothing left to turn. */
export type Harder =
  | { readonly found: "change"; readonly change: TurnedChange }
  | { readonly found: "restriction"; readonly restriction: Restriction; readonly knob: string }
  | { readonly found: "left-alone"; readonly knob: string }
  | { readonly found: "spent" };

/**
 * The next harder setting of a prescription: the first of the variant's own knobs that can still be turned,
 * in the variant's order; when they are spent, the next variant of the progression.
 * A knob stopped by a restriction is not passed over: the order is part of the treatment, so the answer names
 * the restriction.
 *
 * @returns a change that turns exactly one knob, or what stopped it
 */
export function harder(exercise: Exercise, prescription: Prescription, options: HarderOptions): Harder {
  const variant = variantOf(exercise, prescription.variantId);
  let leftAlone: string | null = null;
  for (const turn of variant.turns) {
    const to = notch(turn, prescription, 1);
    if (to === null) continue;
    if (options.leaveAlone?.includes(turn.knob)) {
      leftAlone ??= turn.knob;
      continue;
    }
    const knob = knobByName(turn.knob);
    const next = knob.write(prescription, to);
    const stop = obstacle(next, variant, options.restrictions, options.today);
    if (stop) return { found: "restriction", restriction: stop, knob: turn.knob };
    const change: TurnedChange = {
      kind: "knob",
      knob: turn.knob,
      from: knob.read(prescription) ?? 0,
      to,
      prescription: next,
    };
    return { found: "change", change };
  }
  if (leftAlone) return { found: "left-alone", knob: leftAlone };
  return nextVariant(exercise, prescription, options);
}

function nextVariant(exercise: Exercise, prescription: Prescription, options: HarderOptions): Harder {
  const at = exercise.variants.findIndex((variant) => variant.id === prescription.variantId);
  const next = exercise.variants[at + 1];
  const present = exercise.variants[at];
  if (!next || !present) return { found: "spent" };
  const change = variantChange(present, next, prescription);
  if (options.leaveAlone?.includes(change.knob)) return { found: "left-alone", knob: change.knob };
  const stop = obstacle(change.prescription, next, options.restrictions, options.today);
  return stop ? { found: "restriction", restriction: stop, knob: change.knob } : { found: "change", change };
}

/** The step from one variant to its neighbour: the one knob in which their settings differ. */
export function variantChange(
  from: Exercise["variants"][number],
  to: Exercise["variants"][number],
  prescription: Prescription,
): TurnedChange {
  const target = firstPrescription(to);
  const name = differingSetting(from, to);
  const knob = knobByName(name);
  return {
    kind: "variant",
    knob: name,
    from: knob.read(firstPrescription(from)) ?? knob.read(prescription) ?? "none",
    to: knob.read(target) ?? "none",
    prescription: target,
  };
}

/** The movement knob in which two neighbouring variants differ. @throws RangeError unless it is exactly one */
export function differingSetting(
  from: Exercise["variants"][number],
  to: Exercise["variants"][number],
): string {
  const sameDose = { ...firstPrescription(from), dose: to.dose };
  const names = turnedKnobs(sameDose, firstPrescription(to));
  if (names.length !== 1 || names[0] === undefined) {
    throw new RangeError(
      `${from.id} and ${to.id} differ in ${names.length} knobs (${names.join(", ")}), not in one`,
    );
  }
  return names[0];
}
