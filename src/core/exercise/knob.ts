import { tempoSeconds } from "~/core/dose/tempo";
import type { Dose, WorkRange } from "~/core/dose/dose";
import type { KnobValue, Prescription } from "./prescription";

/**
 * A knob: one thing about an exercise that can be turned harder or easier.
 * `read` and `write` know where it lives, `rank` which of two values is harder, `accepts` which values exist, so the
 * engine turns every knob the same way.
 */
export interface Knob {
  readonly name: string;
  readonly unit: "deg" | "cm" | "kg" | "s" | "%" | "N" | "min" | "1";
  /** For words: from easy to hard. Knobs with numbers have none; each variant lists its own ladder. */
  readonly words?: readonly string[];
  /** Harder values have the higher rank. */
  readonly rank: (value: KnobValue) => number;
  readonly accepts: (value: KnobValue) => boolean;
  readonly read: (prescription: Prescription) => KnobValue | undefined;
  readonly write: (prescription: Prescription, value: KnobValue) => Prescription;
}

/** Knee bends at which a movement can turn to the hips, degrees: as finely as anybody says where it hurts. */
export const sitBackAngles: readonly number[] = [20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 70, 75, 80];

const harderUp = 1;
const harderDown = -1;

/** All knobs of the product; adding one is adding a line. Orders from easy to hard: common practice. */
export const knobs: readonly Knob[] = [
  worded("contraction", ["isometric", "eccentric-only", "concentric-eccentric", "plyometric"]),
  worded("laterality", ["both", "both-up-one-down", "staggered", "single"]),
  worded("support", ["two-hands", "one-hand", "fingertips", "none"]),
  worded("assistance", ["strong", "light", "none"]),
  numeric("knee-angle", "deg", harderUp, [0, 150]),
  numeric("hip-angle", "deg", harderUp, [-30, 140]),
  numeric("box-height", "cm", harderDown, [10, 90]),
  numeric("step-height", "cm", harderUp, [2, 60]),
  numeric("reach", "cm", harderUp, [1, 150]),
  arc(),
  worded("range", ["part", "three-quarter", "full"]),
  worded("knee-travel", ["limited", "free"]),
  // Degrees of knee bend from which the rest of the way is found at the hips: the later, the more the knee does.
  worded("sit-back-at", [...sitBackAngles.map(String), "none"], "deg"),
  worded("trunk", ["upright", "leaning"]),
  worded("stance-length", ["long", "short"]),
  worded("stance-width", ["wide", "narrow"]),
  worded("foot-turn", ["straight", "turned-out"]),
  worded("raised", ["heels", "front-foot", "flat", "rear-foot", "both-feet"]),
  worded("lever", ["short", "long"]),
  worded("free-leg", ["behind", "beside", "ahead"]),
  worded("load-place", [
    "none",
    "ankle",
    "thighs",
    "hips",
    "goblet",
    "hands",
    "opposite-hand",
    "same-hand",
    "bar",
    "overhead",
  ]),
  worded("surface", ["firm", "soft", "unstable"]),
  worded("vision", ["open", "closed"]),
  worded("attention", ["undivided", "second-task"]),
  worded("knee-guide", ["ball", "band", "none"]),
  worded("perturbation", ["none", "band-thigh", "band-shin", "band-foot"]),
  numeric("drop-height", "cm", harderUp, [5, 80]),
  worded("direction", ["back", "back-across", "across", "outward", "forward", "rotational"]),
  numeric("speed", "%", harderUp, [10, 100]),
  rangeInDose("reps", "1", "reps", (dose) => dose.style !== "heavy-slow"),
  rangeInDose("hold", "s", "hold", () => true),
  rangeInDose("contacts", "1", "contacts", () => true),
  // Fewer repetitions at a heavier load: the same numbers as reps, but harder the lower they are.
  {
    name: "repetition-maximum",
    unit: "1",
    rank: (value) => -Number(value),
    accepts: (value) => typeof value === "number" && Number.isInteger(value) && value >= 1 && value <= 30,
    read: ({ dose }) => (dose.style === "heavy-slow" ? dose.reps?.top : undefined),
    write: (prescription, value) =>
      inDose(prescription, { reps: { bottom: Number(value), top: Number(value) } }),
  },
  {
    name: "effort",
    unit: "%",
    rank: upperEnd,
    accepts: (value) => isRange(value, 1, 100),
    read: ({ dose }) => dose.effort && `${dose.effort.lowPercent}-${dose.effort.highPercent}`,
    write: (prescription, value) => {
      const [lowPercent, highPercent] = ends(value);
      return inDose(prescription, { effort: { lowPercent, highPercent } });
    },
  },
  {
    name: "tempo",
    unit: "s",
    rank: (value) => tempoSeconds(String(value)),
    accepts: (value) => /^\d+(\.\d)?(-\d+(\.\d)?){3}$/.test(String(value)) && tempoSeconds(String(value)) > 0,
    read: ({ dose }) => dose.tempo,
    write: (prescription, value) => inDose(prescription, { tempo: String(value) }),
  },
  numberInDose("load", "kg", "loadKg", [0, 500]),
  numberInDose("body-weight-share", "%", "bodyWeightPercent", [1, 300]),
  numberInDose("maximum-share", "%", "maximumPercent", [1, 100]),
  numberInDose("band", "N", "bandN", [1, 600]),
  numberInDose("sets", "1", "sets", [1, 20]),
  numberInDose("minutes", "min", "minutes", [0.1, 180]),
];

const byName = new Map(knobs.map((knob) => [knob.name, knob]));

/** The definition behind a knob's name, or null. */
export function findKnob(name: string): Knob | null {
  return byName.get(name) ?? null;
}

/** The definition behind a knob's name. @throws RangeError for a name that is not in the list */
export function knobByName(name: string): Knob {
  const found = byName.get(name);
  if (!found) throw new RangeError(`unknown knob ${name}`);
  return found;
}

/** Names of the knobs that stand differently in two prescriptions. */
export function turnedKnobs(before: Prescription, after: Prescription): string[] {
  return knobs.filter((knob) => knob.read(before) !== knob.read(after)).map((knob) => knob.name);
}

function worded(name: string, words: readonly string[], unit: Knob["unit"] = "1"): Knob {
  return {
    name,
    unit,
    words,
    rank: (value) => words.indexOf(String(value)),
    accepts: (value) => words.includes(String(value)),
    ...inSettings(name),
  };
}

function numeric(name: string, unit: Knob["unit"], sense: 1 | -1, [low, high]: [number, number]): Knob {
  return {
    name,
    unit,
    rank: (value) => sense * Number(value),
    accepts: (value) => typeof value === "number" && value >= low && value <= high,
    ...inSettings(name),
  };
}

/** The arc worked through, from–to in degrees of flexion; the wider, the harder. */
function arc(): Knob {
  return {
    name: "arc",
    unit: "deg",
    rank: (value) => {
      const [from, to] = ends(value);
      return to - from;
    },
    accepts: (value) => isRange(value, 0, 150),
    ...inSettings("arc"),
  };
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
  key: "reps" | "hold" | "contacts",
  applies: (dose: Dose) => boolean,
): Knob {
  return {
    name,
    unit,
    rank: upperEnd,
    accepts: (value) => isRange(value, 1, 1000),
    read: ({ dose }) => {
      const range: WorkRange | undefined = applies(dose) ? dose[key] : undefined;
      return range && `${range.bottom}-${range.top}`;
    },
    write: (prescription, value) => {
      const [bottom, top] = ends(value);
      return inDose(prescription, { [key]: { bottom, top } });
    },
  };
}

function numberInDose(
  name: string,
  unit: Knob["unit"],
  key: "loadKg" | "bodyWeightPercent" | "maximumPercent" | "bandN" | "sets" | "minutes",
  [low, high]: [number, number],
): Knob {
  return {
    name,
    unit,
    rank: Number,
    accepts: (value) => typeof value === "number" && value >= low && value <= high,
    read: ({ dose }) => dose[key],
    write: (prescription, value) => inDose(prescription, { [key]: Number(value) }),
  };
}

function inDose(prescription: Prescription, change: Partial<Prescription["dose"]>): Prescription {
  return { ...prescription, dose: { ...prescription.dose, ...change } };
}

function upperEnd(value: KnobValue): number {
  return Number(String(value).split("-").at(-1));
}

const rangeShape = /^\d+(\.\d+)?(-\d+(\.\d+)?)?$/;

function isRange(value: KnobValue, low: number, high: number): boolean {
  const [from = NaN, to = from] = String(value).split("-").map(Number);
  return rangeShape.test(String(value)) && from >= low && to <= high && from <= to;
}

/** "8-12" → [8, 12]; a single number stands for both ends. */
function ends(value: KnobValue): [number, number] {
  const parts = String(value).split("-").map(Number);
  const [low, high = low] = parts;
  if (low === undefined || high === undefined || !parts.every(Number.isFinite) || low > high)
    throw new RangeError(`not a range: ${value}`);
  return [low, high];
}
