import type { Turn } from "~/core/exercise/exercise";
import { kitByCode } from "~/core/exercise/kit";
import { knobByName } from "~/core/exercise/knob";
import type { KnobValue, Prescription } from "~/core/exercise/prescription";

type LoadTurn = Extract<Turn, { stepPercent: number }>;

/** The loads that are to hand, kilograms, by kit; kit that is left out has its usual shelf. */
export type Shelf = Readonly<Record<string, readonly number[]>>;

/**
 * The value one notch harder (+1) or easier (−1) on a turn, or null at its end
 * or when the knob does not stand on the ladder.
 * A load moves by its percentage, rounded to the kit, and always by at least one increment.
 */
export function notch(
  turn: Turn,
  prescription: Prescription,
  direction: 1 | -1,
  shelf: Shelf = {},
): KnobValue | null {
  const value = knobByName(turn.knob).read(prescription);
  if ("ladder" in turn) {
    const at = value === undefined ? -1 : turn.ladder.indexOf(value);
    return at < 0 ? null : (turn.ladder[at + direction] ?? null);
  }
  return loadNotch(turn, typeof value === "number" ? value : 0, direction * turn.stepPercent, shelf);
}

/**
 * A load changed by a percentage, rounded to what is on the shelf, always a real change.
 * Where the shelf is known the nearest load that lies beyond the present one is taken; otherwise increments count.
 *
 * @returns kilograms, or null when it would leave 0…maximumKg or the shelf, or is there already
 */
export function loadNotch(turn: LoadTurn, loadKg: number, percent: number, shelf: Shelf = {}): number | null {
  const loads = turn.kit === undefined ? undefined : (shelf[turn.kit] ?? undefined);
  const next = loads ? onShelf(loads, loadKg, percent) : byIncrement(turn, loadKg, percent);
  return next === null || next > turn.maximumKg ? null : next;
}

/** The loads a turn can stand at: those stated, else the usual shelf of its kit. */
export function shelfOf(turn: LoadTurn, shelf: Shelf = {}): readonly number[] {
  return turn.kit === undefined ? [] : (shelf[turn.kit] ?? kitByCode(turn.kit)?.shelfKg ?? []);
}

function byIncrement({ incrementKg }: LoadTurn, loadKg: number, percent: number): number | null {
  const wanted = loadKg * (1 + percent / 100);
  const leastChange = Math.max(1, Math.round(Math.abs(wanted - loadKg) / incrementKg)) * incrementKg;
  const next = Math.round((loadKg + Math.sign(percent) * leastChange) * 1000) / 1000;
  if (next < 0) return loadKg > 0 ? 0 : null;
  return next;
}

function onShelf(loads: readonly number[], loadKg: number, percent: number): number | null {
  const wanted = loadKg * (1 + percent / 100);
  const beyond = [0, ...loads].filter((kg) => (percent > 0 ? kg > loadKg : kg < loadKg));
  return beyond.reduce<number | null>(
    (best, kg) => (best === null || Math.abs(kg - wanted) < Math.abs(best - wanted) ? kg : best),
    null,
  );
}
