import { loadForReps, oneRepMax } from "~/core/dose/one-rep-max";
import { turnTo, type TurnedChange } from "./change";
import { statedShelf, type LoadTurn, type Shelf } from "./notch";
import type { Turn } from "~/core/exercise/exercise";
import { knobByName } from "~/core/exercise/knob";
import type { KnobValue, Prescription } from "~/core/exercise/prescription";

/**
 * The load that goes with another repetition maximum of the heavy-slow calendar: as much as can be lifted so often by Epley,
 * rounded down to the shelf, and never beyond what the turn allows.
 *
 * @param loadKg load held for `from` repetitions
 * @returns kilograms; the load itself where the shelf has nothing between
 * @example calendarLoad({ knob: "load", stepPercent: 5, incrementKg: 2.5, maximumKg: 100 }, 40, { from: 15, to: 12 }) // 42.5
 * Source: Epley 1985, recalled; the calendar Kongsgaard 2009, recalled.
 */
export function calendarLoad(
  turn: LoadTurn,
  loadKg: number,
  { from, to }: { readonly from: number; readonly to: number },
  shelf: Shelf = {},
): number {
  const { oneRepMaxKg } = oneRepMax({ loadKg, reps: from, formula: "epley" });
  const { loadKg: wanted } = loadForReps({ oneRepMaxKg, reps: to, formula: "epley" });
  const most = Math.min(wanted, turn.maximumKg) + 1e-9;
  const loads = statedShelf(turn, shelf);
  const steps = Math.floor(most / turn.incrementKg) * turn.incrementKg;
  const below = loads ? Math.max(0, ...loads.filter((kg) => kg <= most)) : steps;
  return to < from ? Math.max(loadKg, below) : below;
}

/**
 * One knob turned; the repetition maximum of the calendar takes its load along, the one change of two knobs there is.
 *
 * @param turns of the variant
 */
export function turnWithLoad(
  turns: readonly Turn[],
  prescription: Prescription,
  knob: string,
  to: KnobValue,
  shelf: Shelf = {},
): TurnedChange {
  const change = turnTo(prescription, knob, to);
  const load = turns.find((turn): turn is LoadTurn => turn.knob === "load" && "stepPercent" in turn);
  const { loadKg = 0 } = prescription.dose;
  if (knob !== "repetition-maximum" || !load || loadKg <= 0) return change;
  const kg = calendarLoad(load, loadKg, { from: Number(change.from), to: Number(to) }, shelf);
  return { ...change, prescription: knobByName("load").write(change.prescription, kg) };
}
