import { variantOf } from "~/core/exercise/exercise";
import { knobByName, sitBackAngles } from "~/core/exercise/knob";
import { turnTo, type TurnedChange } from "~/core/progression/change";
import { easierKnob } from "~/core/progression/easier";
import type { PainCause } from "~/core/response/pain-cause";
import type { RecordView } from "~/core/decision/record/record-view";

/** Degrees that are kept from where it hurts (common practice). */
const marginDeg = 5;
/** An arc narrower than this is no work. */
const leastArcDeg = 10;
const notchesAtMost = 60;
const depthKnobs = ["knee-angle", "hip-angle"] as const;
const notchedKnobs = ["box-height", "step-height", "drop-height", "range"] as const;

/**
 * The range limited to five degrees short of where it hurt: the wider part of a working arc that remains on either side, a bend
 * that stops before it, a box, step or part of the way at which this body bends no further; where none is, the movement turns to
 * the hips there, if it has such a form.
 *
 * @param arc where the pain began and, if it passed again, ended; degrees
 * @returns null where no setting of this exercise says where it bends to, or nothing would be left
 * Source: common practice.
 */
export function shortOfPain(view: RecordView, arc: NonNullable<PainCause["arc"]>): TurnedChange | null {
  const { settings } = view.input.prescription;
  const before = arc.fromDeg - marginDeg;
  const beyond = (arc.toDeg ?? arc.fromDeg) + marginDeg;
  if (typeof settings["arc"] === "string") return arcBeside(view, settings["arc"], before, beyond);
  for (const knob of depthKnobs) {
    const now = settings[knob];
    if (typeof now === "number")
      return now > before && before > 0 ? turnTo(view.input.prescription, knob, before) : null;
  }
  return lowerStep(view, before) ?? turnToHips(view, before);
}

function arcBeside({ input: { prescription } }: RecordView, now: string, before: number, beyond: number) {
  const [from = 0, to = 0] = now.split("-").map(Number);
  const parts = [
    [from, Math.min(to, before)],
    [Math.max(from, beyond), to],
  ] as const;
  const [widest] = [...parts].sort((a, b) => widthOf(b) - widthOf(a));
  if (!widest || widthOf(widest) < leastArcDeg || widthOf(widest) >= to - from) return null;
  return turnTo(prescription, "arc", `${widest[0]}-${widest[1]}`);
}

const widthOf = ([from, to]: readonly [number, number]) => to - from;

/** The box or step, notch by notch, until this body's knee stays short of the angle. */
function lowerStep({ input: { exercise, prescription }, shelf, demandOf }: RecordView, before: number) {
  const { turns } = variantOf(exercise, prescription.variantId);
  const knob = notchedKnobs.find((name) => turns.some((turn) => turn.knob === name));
  if (!knob) return null;
  let step = easierKnob(exercise, prescription, knob, shelf);
  const from = step?.from;
  for (let n = 0; step && from !== undefined && n < notchesAtMost; n += 1) {
    const bend = demandOf(step.prescription)?.working.kneeFlexionDeg[1];
    if (bend === undefined) return null;
    if (bend <= before) return { ...step, from };
    step = easierKnob(exercise, step.prescription, knob, shelf);
  }
  return null;
}

/** Sitting back from the last angle short of the pain on; not later than it does already. */
function turnToHips({ input: { exercise, prescription } }: RecordView, before: number): TurnedChange | null {
  const { turns } = variantOf(exercise, prescription.variantId);
  const to = sitBackAngles.findLast((angle) => angle <= before);
  if (to === undefined || !turns.some(({ knob }) => knob === "sit-back-at")) return null;
  const { rank } = knobByName("sit-back-at");
  const now = prescription.settings["sit-back-at"] ?? "none";
  return rank(String(to)) < rank(now) ? turnTo(prescription, "sit-back-at", String(to)) : null;
}
