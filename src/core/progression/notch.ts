import type { Turn } from "~/core/exercise/exercise";
import { kitByCode } from "~/core/exercise/kit";
import { knobByName } from "~/core/exercise/knob";
import type { KnobValue, Prescription } from "~/core/exercise/prescription";

/** A load as a knob: by how much it moves, on what it stands, and where it ends. */
export type LoadTurn = Extract<Turn, { stepPercent: number }>;

/** The loads that are to hand, kilograms, by kit; kit that is left out has its usual shelf. */
export type Shelf = Readonly<Record<string, readonly number[]>>;

/** A step of load is no more than this, unless the shelf has nothing between (ACSM 2009, recalled: 2–10 %). */
const mostPercent = 10;

/**
 * The value one notch harder (+1) or easier (−1) on a turn, or null at its end.
 * A value that is not on the ladder, such as a bend limited to short of where it hurts, goes to the next that is.
 * A ladder that is everybody's own moves by its step from wherever somebody stands, to its ends.
 * A load moves by its percentage, rounded to the kit, and always by at least one increment.
 */
export function notch(
  turn: Turn,
  prescription: Prescription,
  direction: 1 | -1,
  shelf: Shelf = {},
): KnobValue | null {
  const knob = knobByName(turn.knob);
  const value = knob.read(prescription);
  if ("ladder" in turn) {
    if (value === undefined) return null;
    if (turn.ownStep !== undefined && typeof value === "number")
      return ownRung(turn.ladder, value, direction * turn.ownStep);
    const at = turn.ladder.indexOf(value);
    if (at >= 0) return turn.ladder[at + direction] ?? null;
    const beyond = turn.ladder.filter((rung) => direction * (knob.rank(rung) - knob.rank(value)) > 0);
    return beyond.at(direction > 0 ? 0 : -1) ?? null;
  }
  return loadNotch(turn, typeof value === "number" ? value : 0, direction * turn.stepPercent, shelf);
}

/** A step from where somebody stands, no farther than the ladder's end that way; null at or beyond it. */
function ownRung(ladder: readonly KnobValue[], value: number, by: number): number | null {
  const ends = ladder.filter((rung) => typeof rung === "number");
  const end = by > 0 ? Math.max(...ends) : Math.min(...ends);
  if (by > 0 ? value >= end : value <= end) return null;
  return by > 0 ? Math.min(end, value + by) : Math.max(end, value + by);
}

/**
 * A load changed by a percentage, rounded to what is on the shelf, always a real change. Upwards it is a tenth at most, or the
 * smallest step there is.
 * Where no shelf was stated the increments of the exercise count.
 *
 * @returns kilograms, or null when it would leave 0…maximumKg or the shelf, or is there already
 */
export function loadNotch(turn: LoadTurn, loadKg: number, percent: number, shelf: Shelf = {}): number | null {
  const loads = statedShelf(turn, shelf);
  const next = loads ? onShelf(loads, loadKg, percent) : byIncrement(turn, loadKg, percent);
  return next === null || next > turn.maximumKg ? null : next;
}

/** The loads that were stated for what a turn's load is made of; undefined where nobody did. */
export const statedShelf = ({ kit }: LoadTurn, shelf: Shelf): readonly number[] | undefined =>
  kit === undefined ? undefined : shelf[kit];

/** The loads a turn can stand at: those stated, else the usual shelf of its kit. */
export function shelfOf(turn: LoadTurn, shelf: Shelf = {}): readonly number[] {
  return turn.kit === undefined ? [] : (shelf[turn.kit] ?? kitByCode(turn.kit)?.shelfKg ?? []);
}

function byIncrement({ incrementKg }: LoadTurn, loadKg: number, percent: number): number | null {
  const change = Math.abs(loadKg * percent) / 100;
  const most = percent > 0 ? Math.floor((loadKg * mostPercent) / 100 / incrementKg + 1e-9) : Infinity;
  const steps = Math.max(1, Math.min(most, Math.round(change / incrementKg)));
  const next = Math.round((loadKg + Math.sign(percent) * steps * incrementKg) * 1000) / 1000;
  if (next < 0) return loadKg > 0 ? 0 : null;
  return next;
}

function onShelf(loads: readonly number[], loadKg: number, percent: number): number | null {
  const wanted = loadKg * (1 + percent / 100);
  const most = loadKg * (1 + mostPercent / 100) + 1e-9;
  const beyond = [0, ...loads].filter((kg) => (percent > 0 ? kg > loadKg : kg < loadKg));
  const small = percent > 0 ? beyond.filter((kg) => kg <= most) : beyond;
  const open = small.length > 0 || beyond.length === 0 ? small : [Math.min(...beyond)];
  return open.reduce<number | null>(
    (best, kg) => (best === null || Math.abs(kg - wanted) < Math.abs(best - wanted) ? kg : best),
    null,
  );
}
