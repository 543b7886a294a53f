import type { NextDayBand } from "./pain-response";

/** Pain of a loading test that still lets work go on (common practice in tendon care; Malliaras 2015, recalled). */
const testGoMax = 3;

/**
 * How a loading test on the day after is judged: one single-leg squat or hop. The first is fine up to 3; later ones are compared
 * with the one that was fine last, never with pain at rest.
 *
 * @param pain whole number 0–10
 * @param fineBefore pain of the test that was fine last; undefined for a first one
 * @example loadTestBand(3, undefined) // "fine"
 * @example loadTestBand(3, 2) // "ease"
 */
export function loadTestBand(pain: number, fineBefore: number | undefined): NextDayBand {
  if (pain > testGoMax) return "ease";
  return pain <= (fineBefore ?? testGoMax) ? "fine" : "ease";
}
