/** A common steady cadence (common practice), used where a dose says none. */
export const steadyTempo = "1.5-0-1.5-0";

/**
 * Seconds that one repetition lasts at a tempo written down-pause-up-pause.
 *
 * @example tempoSeconds("3-1-1-0") // 5
 */
export function tempoSeconds(tempo: string = steadyTempo): number {
  return tempo.split("-").reduce((sum, part) => sum + Number(part), 0);
}
