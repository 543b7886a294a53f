import type { WorkRange } from "~/core/dose/dose";
import type { KnobValue, Prescription } from "./prescription";

/**
 * A knob: one thing about an exercise that can be turned harder or easier.
 * `read` and `write` know where it lives, so the engine turns every knob the same way.
 */
export interface Knob {
  readonly name: string;
  readonly unit: "deg" | "cm" | "kg" | "s" | "%" | "N" | "min" | "1";
  /** For words: from easy to hard. Knobs with numbers have none; each variant lists its own ladder. */
  readonly words?: readonly string[];
  /** For numbers: whether a larger value is harder. */
  readonly harderIs: "up" | "down";
  readonly read: (prescription: Prescription) => KnobValue | undefined;
  readonly write: (prescription: Prescription, value: KnobValue) => Prescription;
}

/** All knobs of the product; adding one is adding a line. */
export const knobs: readonly Knob[] = [
  worded("contraction", ["isometric", "eccentric-only", "concentric-eccentric", "plyometric"]),
  worded("laterality", ["both", "both-up-one-down", "staggered", "single"]),
  worded("support", ["two-hands", "one-hand", "fingertips", "none"]),
  numeric("knee-angle", "deg", "up"),
  numeric("hip-angle", "deg", "up"),
  numeric("box-height", "cm", "down"),
  numeric("step-height", "cm", "up"),
  numeric("reach", "cm", "up"),
  worded("range", ["part", "three-quarter", "full"]),
  worded("knee-travel", ["limited", "free"]),
  worded("trunk", ["upright", "leaning"]),
  worded("stance-length", ["long", "short"]),
  worded("stance-width", ["wide", "narrow"]),
  worded("raised", ["heels", "front-foot", "flat", "rear-foot"]),
  worded("lever", ["short", "long"]),
  worded("load-place", ["none", "hips", "goblet", "hands", "bar"]),
  worded("tempo", ["1-0-1-0", "2-0-2-0", "3-1-1-0", "4-2-2-0"]),
  worded("surface", ["firm", "soft", "unstable"]),
  worded("vision", ["open", "closed"]),
  worded("perturbation", ["none", "band-thigh", "band-shin", "band-foot"]),
  numeric("drop-height", "cm", "up"),
  worded("direction", ["back", "back-across", "across", "forward", "rotational"]),
  numeric("speed", "%", "up"),
  rangeInDose("reps", "1", (dose) => dose.reps, "reps"),
  rangeInDose("hold", "s", (dose) => dose.hold, "hold"),
  rangeInDose("contacts", "1", (dose) => dose.contacts, "contacts"),
  {
    name: "effort",
    unit: "%",
    harderIs: "up",
    read: ({ dose }) => dose.effort && `${dose.effort.lowPercent}-${dose.effort.highPercent}`,
    write: (prescription, value) => {
      const [lowPercent, highPercent] = ends(value);
      return inDose(prescription, { effort: { lowPercent, highPercent } });
    },
  },
  {
    name: "load",
    unit: "kg",
    harderIs: "up",
    read: ({ dose }) => dose.loadKg,
    write: (prescription, value) => inDose(prescription, { loadKg: Number(value) }),
  },
  {
    name: "sets",
    unit: "1",
    harderIs: "up",
    read: ({ dose }) => dose.sets,
    write: (prescription, value) => inDose(prescription, { sets: Number(value) }),
  },
  {
    name: "minutes",
    unit: "min",
    harderIs: "up",
    read: ({ dose }) => dose.minutes,
    write: (prescription, value) => inDose(prescription, { minutes: Number(value) }),
  },
];

/** The definition behind a knob's name. @throws RangeError for a name that is not in the list */
export function knobByName(name: string): Knob {
  const found = knobs.find((knob) => knob.name === name);
  if (!found) throw new RangeError(`unknown knob ${name}`);
  return found;
}

/** Names of the knobs that stand differently in two prescriptions. */
export function turnedKnobs(before: Prescription, after: Prescription): string[] {
  return knobs.filter((knob) => knob.read(before) !== knob.read(after)).map((knob) => knob.name);
}

function worded(name: string, words: readonly string[]): Knob {
  return { name, unit: "1", words, harderIs: "up", ...inSettings(name) };
}

function numeric(name: string, unit: Knob["unit"], harderIs: Knob["harderIs"]): Knob {
  return { name, unit, harderIs, ...inSettings(name) };
}

function inSettings(name: string): Pick<Knob, "read" | "write"> {
  return {
    read: ({ settings }) => settings[name],
    write: (prescription, value) => ({
      ...prescription,
      settings: { ...prescription.settings, [name]: value },
    }),
  };
}

function rangeInDose(
  name: string,
  unit: Knob["unit"],
  pick: (dose: Prescription["dose"]) => WorkRange | undefined,
  key: "reps" | "hold" | "contacts",
): Knob {
  return {
    name,
    unit,
    harderIs: "up",
    read: ({ dose }) => {
      const range = pick(dose);
      return range && `${range.bottom}-${range.top}`;
    },
    write: (prescription, value) => {
      const [bottom, top] = ends(value);
      return inDose(prescription, { [key]: { bottom, top } });
    },
  };
}

function inDose(prescription: Prescription, change: Partial<Prescription["dose"]>): Prescription {
  return { ...prescription, dose: { ...prescription.dose, ...change } };
}

/** "8-12" → [8, 12]; a single number stands for both ends. */
function ends(value: KnobValue): [number, number] {
  const parts = String(value).split("-").map(Number);
  const [low, high = low] = parts;
  if (low === undefined || high === undefined || !parts.every(Number.isFinite) || low > high) {
    throw new RangeError(`not a range: ${value}`);
  }
  return [low, high];
}
