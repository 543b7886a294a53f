import type { DemandBook } from "~/core/demand/demand-book";
import { turnWithLoad } from "./calendar-load";
import type { TurnedChange } from "./change";
import {
  firstPrescription,
  variantOf,
  type Exercise,
  type Turn,
  type Variant,
} from "~/core/exercise/exercise";
import { knobByName, turnedKnobs } from "~/core/exercise/knob";
import { notch } from "./notch";
import type { Prescription } from "~/core/exercise/prescription";
import { obstacle } from "~/core/limit/obstacle";
import { inForce, shelfUnder, type Restriction } from "~/core/limit/restriction";

export interface HarderOptions {
  /** What settings ask of this body. */
  readonly book: DemandBook;
  readonly restrictions: readonly Restriction[];
  /** Local date, for restrictions that end. */
  readonly today: string;
  /** Knobs that are left alone, for example because they were eased twice after stepping. */
  readonly leaveAlone?: readonly string[];
}

/** One knob turned; or the restriction in the way; or nothing left to turn. */
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
  const shelf = shelfUnder(options.restrictions, options.today);
  let leftAlone: string | null = null;
  for (const turn of variant.turns) {
    const to = notch(turn, prescription, 1, shelf);
    if (to === null) {
      const restriction = shelfEnds(turn, prescription, options);
      if (restriction) return { found: "restriction", restriction, knob: turn.knob };
      continue;
    }
    if (options.leaveAlone?.includes(turn.knob)) {
      leftAlone ??= turn.knob;
      continue;
    }
    const change = turnWithLoad(variant.turns, prescription, turn.knob, to, shelf);
    const stop = obstacle(
      change.prescription,
      variant,
      exercise,
      options.restrictions,
      options.today,
      options.book,
    );
    return stop ? { found: "restriction", restriction: stop, knob: turn.knob } : { found: "change", change };
  }
  if (leftAlone) return { found: "left-alone", knob: leftAlone };
  return nextVariant(exercise, prescription, options);
}

/** The restriction of kit that ends a load before its own maximum: the shelf has nothing heavier. */
function shelfEnds(turn: Turn, prescription: Prescription, { restrictions, today }: HarderOptions) {
  if ("ladder" in turn || notch(turn, prescription, 1) === null) return null;
  return restrictions.find((r) => r.kind === "kit" && r.shelfKg && inForce(r, today)) ?? null;
}

function nextVariant(exercise: Exercise, prescription: Prescription, options: HarderOptions): Harder {
  const at = exercise.variants.findIndex((variant) => variant.id === prescription.variantId);
  const next = exercise.variants[at + 1];
  const present = exercise.variants[at];
  if (!next || !present) return { found: "spent" };
  const change = variantChange(present, next, prescription);
  if (options.leaveAlone?.includes(change.knob)) return { found: "left-alone", knob: change.knob };
  const stop = obstacle(
    change.prescription,
    next,
    exercise,
    options.restrictions,
    options.today,
    options.book,
  );
  return stop ? { found: "restriction", restriction: stop, knob: change.knob } : { found: "change", change };
}

/** The step from one variant to its neighbour: the one knob in which their settings differ. */
export function variantChange(
  from: Variant,
  to: Variant,
  prescription: Prescription,
  target: Prescription = firstPrescription(to),
): TurnedChange {
  const name = differingSetting(from, to);
  const knob = knobByName(name);
  return {
    kind: "variant",
    knob: name,
    from: knob.read(firstPrescription(from)) ?? knob.read(prescription) ?? "none",
    to: knob.read(firstPrescription(to)) ?? "none",
    prescription: keptLeg(target, prescription),
  };
}

/** The leg that alone works goes along, as long as the legs do not share the work. */
function keptLeg(target: Prescription, { leg }: Prescription): Prescription {
  return leg === undefined || target.settings["laterality"] === "both" ? target : { ...target, leg };
}

/** The movement knob in which two neighbouring variants differ. @throws RangeError unless it is exactly one */
export function differingSetting(from: Variant, to: Variant): string {
  const sameDose = { ...firstPrescription(from), dose: to.dose };
  const names = turnedKnobs(sameDose, firstPrescription(to));
  if (names.length !== 1 || names[0] === undefined) {
    throw new RangeError(
      `${from.id} and ${to.id} differ in ${names.length} knobs (${names.join(", ")}), not in one`,
    );
  }
  return names[0];
}
