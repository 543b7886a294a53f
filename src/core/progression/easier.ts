import { turnWithLoad } from "./calendar-load";
import type { TurnedChange } from "./change";
import { firstPrescription, variantOf, type Exercise, type Variant } from "~/core/exercise/exercise";
import { variantChange, type Harder, type HarderOptions } from "./harder";
import { rangeKnobs } from "~/core/exercise/range-knobs";
import { knobByName } from "~/core/exercise/knob";
import { notch, type Shelf } from "./notch";
import type { Prescription } from "~/core/exercise/prescription";
import { obstacle } from "~/core/limit/obstacle";
import { shelfUnder } from "~/core/limit/restriction";

/**
 * The setting from which `harder` leads to this one: the knob that is turned last on the way here, one notch back;
 * at the first setting of a variant, the variant before it with its own knobs at their top. Loads do not follow:
 * the variant before comes back with its first load, so that nobody is handed a weight they never held.
 * Where that way is barred by a restriction, the next knob further back is tried, then the variant before.
 *
 * @returns a change that turns exactly one knob, what stopped every way back, or that this is the easiest
 */
export function easier(
  exercise: Exercise,
  prescription: Prescription,
  { restrictions, today, book }: Pick<HarderOptions, "restrictions" | "today" | "book">,
): Harder {
  const shelf = shelfUnder(restrictions, today);
  const ways = [
    ...knobsTurnedOnTheWay(exercise, prescription, shelf),
    ...present(topOfVariantBefore(exercise, prescription)),
  ];
  const barred = ways.map((change) => {
    const variant = variantOf(exercise, change.prescription.variantId);
    return { change, stop: obstacle(change.prescription, variant, exercise, restrictions, today, book) };
  });
  const open = barred.find(({ stop }) => stop === null);
  if (open) return { found: "change", change: open.change };
  const [first] = barred;
  return first?.stop
    ? { found: "restriction", restriction: first.stop, knob: first.change.knob }
    : { found: "spent" };
}

/** One notch easier on the named knob of the present variant, loads to what is on the shelf; null where it cannot be turned. */
export function easierKnob(
  exercise: Exercise,
  prescription: Prescription,
  knobName: string,
  shelf: Shelf,
): TurnedChange | null {
  const { turns } = variantOf(exercise, prescription.variantId);
  const turn = turns.find((t) => t.knob === knobName);
  const to = turn ? notch(turn, prescription, -1, shelf) : null;
  return to === null ? null : turnWithLoad(turns, prescription, knobName, to, shelf);
}

/** The knob that was turned last in the variant's own order, one notch back; null at the easiest setting. */
export function easierNotch(
  exercise: Exercise,
  prescription: Prescription,
  shelf: Shelf,
): TurnedChange | null {
  return knobsTurnedOnTheWay(exercise, prescription, shelf)[0] ?? null;
}

/**
 * The variant before this one in the progression, at its own first dose, but no deeper, no higher and no heavier than it stands
 * now; null for the easiest.
 */
export function easierVariant(exercise: Exercise, prescription: Prescription): TurnedChange | null {
  const { before, here } = neighbours(exercise, prescription);
  if (!before || !here) return null;
  const first = firstPrescription(before);
  const [now, then] = [prescription.dose.loadKg, first.dose.loadKg];
  const lighter = now !== undefined && then !== undefined && now < then ? { loadKg: now } : {};
  const settings = { ...first.settings, ...shallower(first, prescription) };
  const target = { ...first, settings, dose: { ...first.dose, ...lighter } };
  return variantChange(here, before, prescription, target);
}

/** Settings of how far a movement goes that stand easier in a prescription than in another: the easier ones. */
function shallower(than: Prescription, { settings }: Prescription): Prescription["settings"] {
  const easier = rangeKnobs.flatMap((name) => {
    const [now, then] = [settings[name], than.settings[name]];
    if (now === undefined || then === undefined) return [];
    const { rank } = knobByName(name);
    return rank(now) < rank(then) ? [[name, now] as const] : [];
  });
  return Object.fromEntries(easier);
}

/**
 * Every own knob that can be turned back, the one turned last first: a knob is turned only when those before it
 * in the variant's order stand at their top.
 */
function knobsTurnedOnTheWay(exercise: Exercise, prescription: Prescription, shelf: Shelf): TurnedChange[] {
  const { turns } = variantOf(exercise, prescription.variantId);
  const firstNotAtTop = turns.findIndex((turn) => notch(turn, prescription, 1, shelf) !== null);
  const last = firstNotAtTop < 0 ? turns.length - 1 : firstNotAtTop;
  const reached = turns.slice(0, last + 1).reverse();
  const beyond = turns.slice(last + 1);
  return [...reached, ...beyond].flatMap((turn) => {
    const to = notch(turn, prescription, -1, shelf);
    return to === null ? [] : [turnWithLoad(turns, prescription, turn.knob, to, shelf)];
  });
}

function topOfVariantBefore(exercise: Exercise, prescription: Prescription): TurnedChange | null {
  const { before, here } = neighbours(exercise, prescription);
  if (!before || !here) return null;
  return variantChange(here, before, prescription, topOf(before));
}

/** A variant with every ladder of its own at the hard end; loads stay at the first dose. */
function topOf(variant: Variant): Prescription {
  return variant.turns.reduce((prescription, turn) => {
    const top = "ladder" in turn ? turn.ladder.at(-1) : undefined;
    return top === undefined ? prescription : knobByName(turn.knob).write(prescription, top);
  }, firstPrescription(variant));
}

function neighbours({ variants }: Exercise, { variantId }: Prescription) {
  const at = variants.findIndex((variant) => variant.id === variantId);
  return { before: variants[at - 1], here: variants[at] };
}

const present = <T>(value: T | null): T[] => (value === null ? [] : [value]);
