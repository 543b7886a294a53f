import { turnTo, type TurnedChange } from "~/core/progression/change";
import { rangeKnobs } from "~/core/exercise/range-knobs";
import { easierKnob, easierNotch, easierVariant } from "~/core/progression/easier";
import { firstPrescription, variantOf } from "~/core/exercise/exercise";
import { findKnob } from "~/core/exercise/knob";
import { kitAtHand } from "~/core/limit/restriction";
import { loadNotch } from "~/core/progression/notch";
import type { RecordView } from "~/core/decision/record/record-view";
import { asksMore } from "./asks-more";

/** Tries to make an item easier in one way; null when that way is not open to it. */
export type Remedy = (view: RecordView) => TurnedChange | null;

export const lessRange: Remedy = (view) => firstKnob(view, rangeKnobs);
export const lowerEffortBand: Remedy = (view) => firstKnob(view, ["effort"]);
export const shorterHold: Remedy = (view) => firstKnob(view, ["hold"]);
export const fewerContacts: Remedy = (view) => firstKnob(view, ["contacts"]);
export const fewerMinutes: Remedy = (view) => firstKnob(view, ["minutes"]);
export const moreSupport: Remedy = (view) => firstKnob(view, ["support", "surface", "perturbation"]);
export const oneNotchDown: Remedy = ({ input, shelf }) =>
  easierNotch(input.exercise, input.prescription, shelf);
export const load20Less: Remedy = (view) => lessLoad(view, -20);
export const load10Less: Remedy = (view) => lessLoad(view, -10);

/** The variant before this one; not where the other movement asks more of the leg in any part. */
export const easierVariantRemedy: Remedy = (view) => {
  const { exercise, prescription } = view.input;
  const change = easierVariant(exercise, prescription);
  return change && !asksMore(view.demandOf(change.prescription), view.demandOf(prescription)) ? change : null;
};

/**
 * The same movement sitting back, the knee kept over the foot: an earlier variant that differs in nothing but the knee's travel,
 * at the settings and dose of now.
 */
export const sitBack: Remedy = ({ input: { exercise, prescription } }) => {
  const { variants } = exercise;
  const here = variantOf(exercise, prescription.variantId);
  if (prescription.settings["knee-travel"] !== "free") return null;
  const back = variants
    .slice(0, variants.indexOf(here))
    .findLast(
      ({ settings }) =>
        settings["knee-travel"] === "limited" &&
        sameBut("knee-travel", settings, firstPrescription(here).settings),
    );
  if (!back) return null;
  const settings = { ...prescription.settings, "knee-travel": "limited" };
  return {
    kind: "variant",
    knob: "knee-travel",
    from: "free",
    to: "limited",
    prescription: { ...prescription, variantId: back.id, settings },
  };
};

/** The knee was seen to drift inward in most repetitions, and nothing guides it yet. */
export function kneeDrifts({ input: { exercise, prescription }, allDays }: RecordView): boolean {
  const steering = exercise.faults.filter(({ steersKnee }) => steersKnee).map(({ code }) => code);
  const seen = allDays.findLast((day) => day.markedInMostOfLastSet)?.markedFaultNames ?? [];
  const isGuided = (prescription.settings["knee-guide"] ?? "none") !== "none";
  return !isGuided && seen.some((code) => steering.includes(code));
}

/**
 * A cue for a knee that drifts inward: a ball between leg and wall for who stands, else a band round the knees to press outward
 * against; what is known to be to hand.
 */
export const guideKnee: Remedy = (view) => {
  const { exercise, prescription, restrictions } = view.input;
  const { position, kit } = variantOf(exercise, prescription.variantId);
  const hand = new Set([...kit, ...kitAtHand(restrictions, view.today)]);
  const has = (piece: string) => hand.has(piece);
  const to = position === "standing" && has("ball") && has("wall") ? "ball" : has("band") ? "band" : null;
  return to && kneeDrifts(view) ? { ...turnTo(prescription, "knee-guide", to), from: "none" } : null;
};

/** Back to the prescription before the last change, whole, if that change was a step. */
export const undoLastKnob: Remedy = ({ input: { exercise, prescription }, lastChange, shelf }) => {
  const { direction, before, knob: name } = lastChange ?? {};
  if (direction !== "harder" || !before || name === undefined) return null;
  const isVariant = before.variantId !== prescription.variantId;
  const knob = findKnob(name);
  const [from, to] = [knob?.read(prescription), knob?.read(before)];
  if (from === undefined || to === undefined || (from === to && !isVariant)) {
    return isVariant
      ? easierVariant(exercise, prescription)
      : easierKnob(exercise, prescription, name, shelf);
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

function firstKnob({ input, shelf }: RecordView, names: readonly string[]): TurnedChange | null {
  for (const name of names) {
    const change = easierKnob(input.exercise, input.prescription, name, shelf);
    if (change) return change;
  }
  return null;
}

function lessLoad(
  { input: { exercise, prescription }, shelf }: RecordView,
  percent: number,
): TurnedChange | null {
  const turn = variantOf(exercise, prescription.variantId).turns.find((t) => t.knob === "load");
  const loadKg = prescription.dose.loadKg ?? 0;
  if (!turn || loadKg <= 0) return null;
  if ("ladder" in turn) return easierKnob(exercise, prescription, "load", shelf);
  const to = loadNotch(turn, loadKg, percent, shelf);
  return to === null ? null : turnTo(prescription, "load", to);
}

function sameBut(knob: string, a: Readonly<Record<string, unknown>>, b: Readonly<Record<string, unknown>>) {
  const names = new Set([...Object.keys(a), ...Object.keys(b)]);
  names.delete(knob);
  return [...names].every((name) => a[name] === b[name]);
}
