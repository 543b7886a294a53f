import type { stopScopes } from "~/core/decision/record/decide-input";

export const urgencies = ["emergency", "same-day", "soon", "review"] as const;
export type Urgency = (typeof urgencies)[number];

export const stopSignalCodes = [
  "pinch-or-block",
  "gives-way",
  "sudden-pop",
  "leg-nerve",
  "saddle-bladder",
  "calf-hot",
  "infection",
  "chest-breath-faint",
  "night-weight-cancer",
  "bone-stress",
  "child-limp",
  "sit-bone-tear",
  "not-examined",
  "dizziness",
  "knee-locked",
  "cannot-lift-leg",
  "nerve-worse",
  "groin-hop-night",
  "leg-pain-standing",
] as const;
export type StopSignalCode = (typeof stopSignalCodes)[number];

/** A sign that suspends something and asks for somebody else, in every school. */
export interface StopSignalDefinition {
  readonly code: StopSignalCode;
  readonly suspends: (typeof stopScopes)[number];
  readonly urgency: Urgency;
  /** Asked at intake: a yes ends it there. */
  readonly asked: boolean;
}

/** Common practice; the words stand in the message file. */
export const stopSignals: readonly StopSignalDefinition[] = [
  { code: "pinch-or-block", suspends: "item", urgency: "review", asked: false },
  { code: "gives-way", suspends: "lane", urgency: "review", asked: false },
  { code: "sudden-pop", suspends: "plan", urgency: "same-day", asked: true },
  { code: "leg-nerve", suspends: "plan", urgency: "same-day", asked: true },
  { code: "saddle-bladder", suspends: "plan", urgency: "emergency", asked: true },
  { code: "calf-hot", suspends: "plan", urgency: "same-day", asked: true },
  { code: "infection", suspends: "plan", urgency: "same-day", asked: true },
  { code: "chest-breath-faint", suspends: "plan", urgency: "emergency", asked: true },
  { code: "night-weight-cancer", suspends: "plan", urgency: "soon", asked: true },
  { code: "bone-stress", suspends: "impact", urgency: "soon", asked: true },
  { code: "child-limp", suspends: "plan", urgency: "same-day", asked: true },
  { code: "sit-bone-tear", suspends: "hamstrings", urgency: "soon", asked: true },
  { code: "not-examined", suspends: "plan", urgency: "soon", asked: true },
  { code: "dizziness", suspends: "session", urgency: "review", asked: false },
  { code: "knee-locked", suspends: "plan", urgency: "same-day", asked: true },
  { code: "cannot-lift-leg", suspends: "plan", urgency: "same-day", asked: true },
  { code: "nerve-worse", suspends: "plan", urgency: "emergency", asked: true },
  { code: "groin-hop-night", suspends: "impact", urgency: "same-day", asked: true },
  { code: "leg-pain-standing", suspends: "extension", urgency: "soon", asked: true },
];

/**
 * Whether a signal lets nothing be added, made harder or passed while it is open: all of it is suspended, or somebody has to
 * see it today.
 *
 * @example halts("groin-hop-night") // true
 * @example halts("gives-way") // false
 */
export function halts(code: StopSignalCode): boolean {
  const { suspends, urgency } = stopSignal(code);
  return suspends === "plan" || suspends === "session" || urgency === "emergency" || urgency === "same-day";
}

/**
 * Whether it has to be said in which exercise a signal was seen: it suspends only that, or its lane.
 *
 * @example needsExercise("gives-way") // true
 */
export const needsExercise = (code: StopSignalCode): boolean =>
  ["item", "lane"].includes(stopSignal(code).suspends);

/** The definition behind a signal's code. */
export function stopSignal(code: StopSignalCode): StopSignalDefinition {
  const found = stopSignals.find((signal) => signal.code === code);
  if (!found) throw new RangeError(`unknown stop signal ${code}`);
  return found;
}

/** The most urgent of some signals, or null when none is known. */
export function mostUrgent(codes: readonly string[]): Urgency | null {
  const found = stopSignals.filter((signal) => codes.includes(signal.code)).map((signal) => signal.urgency);
  return urgencies.find((urgency) => found.includes(urgency)) ?? null;
}
