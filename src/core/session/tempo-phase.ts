import { steadyTempo } from "~/core/dose/tempo";

export const tempoPhases = ["down", "bottom", "up", "top"] as const;
export type TempoPhase = (typeof tempoPhases)[number];

export interface TempoMoment {
  /** Repetitions that are over. */
  readonly done: number;
  readonly phase: TempoPhase;
  /** Seconds that the phase still lasts. */
  readonly secondsLeft: number;
}

/**
 * Where a set stands that is done at a tempo: which repetition, which of its four phases, and how long that one lasts.
 *
 * @param tempo seconds down-pause-up-pause
 * @param elapsedSeconds since the set began, ≥ 0
 * @example tempoPhaseAt("3-1-1-0", 3.5) // { done: 0, phase: "bottom", secondsLeft: 0.5 }
 */
export function tempoPhaseAt(tempo: string = steadyTempo, elapsedSeconds: number): TempoMoment {
  const seconds = tempo.split("-").map(Number);
  const whole = seconds.reduce((sum, part) => sum + part, 0);
  if (whole <= 0) return { done: 0, phase: "down", secondsLeft: 0 };
  const done = Math.floor(elapsedSeconds / whole);
  let into = elapsedSeconds - done * whole;
  for (const [i, phase] of tempoPhases.entries()) {
    const lasts = seconds[i] ?? 0;
    if (into < lasts) return { done, phase, secondsLeft: lasts - into };
    into -= lasts;
  }
  return { done: done + 1, phase: "down", secondsLeft: seconds[0] ?? 0 };
}
