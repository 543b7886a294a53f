import { turnTo, type TurnedChange } from "~/core/progression/change";
import { easierKnob, easierNotch, easierVariant } from "~/core/progression/easier";
import { variantOf } from "~/core/exercise/exercise";
import { findKnob } from "~/core/exercise/knob";
import { loadNotch } from "~/core/progression/notch";
import type { RecordView } from "~/core/decision/record/record-view";

/** Tries to make an item easier in one way; null when that way is not open to it. */
export type Remedy = (view: RecordView) => TurnedChange | null;

const rangeKnobs = ["knee-angle", "hip-angle", "range", "step-height", "box-height", "reach", "drop-height"];

export const lessRange: Remedy = (view) => firstKnob(view, rangeKnobs);
export const sitBack: Remedy = (view) => firstKnob(view, ["knee-travel"]);
export const lowerEffortBand: Remedy = (view) => firstKnob(view, ["effort"]);
export const shorterHold: Remedy = (view) => firstKnob(view, ["hold"]);
export const fewerContacts: Remedy = (view) => firstKnob(view, ["contacts"]);
export const moreSupport: Remedy = (view) => firstKnob(view, ["support", "surface", "perturbation"]);
export const oneNotchDown: Remedy = ({ input }) => easierNotch(input.exercise, input.prescription);
export const easierVariantRemedy: Remedy = ({ input }) => easierVariant(input.exercise, input.prescription);
export const load20Less: Remedy = (view) => lessLoad(view, -20);
export const load10Less: Remedy = (view) => lessLoad(view, -10);

/** Back to the prescription before the last change, whole, if that change was a step. */
export const undoLastKnob: Remedy = ({ input: { exercise, prescription }, lastChange }) => {
  const { direction, before, knob: name } = lastChange ?? {};
  if (direction !== "harder" || !before || name === undefined) return null;
  const isVariant = before.variantId !== prescription.variantId;
  const knob = findKnob(name);
  const [from, to] = [knob?.read(prescription), knob?.read(before)];
  if (from === undefined || to === undefined || (from === to && !isVariant)) {
    return isVariant ? easierVariant(exercise, prescription) : easierKnob(exercise, prescription, name);
  }
  return { kind: isVariant ? "variant" : "knob", knob: name, from, to, prescription: before };
};

export const oneSetFewer: Remedy = ({ input: { prescription } }) =>
  prescription.dose.sets > 1 ? turnTo(prescription, "sets", prescription.dose.sets - 1) : null;

/** Bottom of the range two reps lower; only for work without external load. */
export const bottomTwoLower: Remedy = ({ input: { prescription } }) => {
  const { reps, loadKg } = prescription.dose;
  if (!reps || (loadKg ?? 0) > 0 || reps.bottom <= 2) return null;
  return turnTo(prescription, "reps", `${reps.bottom - 2}-${reps.top}`);
};

function firstKnob({ input }: RecordView, names: readonly string[]): TurnedChange | null {
  for (const name of names) {
    const change = easierKnob(input.exercise, input.prescription, name);
    if (change) return change;
  }
  return null;
}

function lessLoad({ input: { exercise, prescription } }: RecordView, percent: number): TurnedChange | null {
  const turn = variantOf(exercise, prescription.variantId).turns.find((t) => t.knob === "load");
  const loadKg = prescription.dose.loadKg ?? 0;
  if (!turn || loadKg <= 0) return null;
  if ("ladder" in turn) return easierKnob(exercise, prescription, "load");
  const to = loadNotch(turn, loadKg, percent);
  return to === null ? null : turnTo(prescription, "load", to);
}
