import type { Turn } from "./exercise";
import { knobByName } from "./knob";
import type { KnobValue, Prescription } from "./prescription";

/**
 * The value one notch harder (+1) or easier (−1) on a turn, or null at its end
 * or when the knob does not stand on the ladder.
 * A load moves by its percentage, rounded to the kit, and always by at least one increment.
 */
export function notch(turn: Turn, prescription: Prescription, direction: 1 | -1): KnobValue | null {
  const value = knobByName(turn.knob).read(prescription);
  if ("ladder" in turn) {
    const at = value === undefined ? -1 : turn.ladder.indexOf(value);
    return at < 0 ? null : (turn.ladder[at + direction] ?? null);
  }
  return loadNotch(turn, typeof value === "number" ? value : 0, direction * turn.stepPercent);
}

/**
 * A load changed by a percentage, rounded to the kit's increments, by at least one increment.
 *
 * @returns kilograms, or null when it would leave 0…maximumKg or is there already
 */
export function loadNotch(
  turn: Extract<Turn, { stepPercent: number }>,
  loadKg: number,
  percent: number,
): number | null {
  const { incrementKg, maximumKg } = turn;
  const towards = Math.sign(percent);
  const wanted = loadKg * (1 + percent / 100);
  const leastChange = Math.max(1, Math.round(Math.abs(wanted - loadKg) / incrementKg)) * incrementKg;
  const next = Math.round((loadKg + towards * leastChange) * 1000) / 1000;
  if (next < 0) return loadKg > 0 ? 0 : null;
  return next > maximumKg ? null : next;
}
