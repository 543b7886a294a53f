import { circuitMinutes } from "~/core/dose/circuit-minutes";
import { doseMinutes, type DoseTime } from "~/core/dose/dose-minutes";
import type { Exercise } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import { sidesOf } from "~/core/exercise/sides-of";

/** An exercise of a plan as its time is counted. */
export interface TimedItem {
  readonly exercise: Pick<Exercise, "sides">;
  readonly prescription: Prescription;
  /** The circuit it is done in; null outside of one. */
  readonly circuit: { readonly number: number; readonly restSeconds: number } | null;
}

/** From one exercise of a circuit to the next (common practice). */
const betweenItemsSeconds = 10;

/**
 * How long each piece of a plan takes, in order: an exercise by itself, and a circuit as one, with as many rounds as the most sets of
 * its exercises.
 *
 * Source: arithmetic; ten seconds from exercise to exercise are common practice.
 */
export function planPieces(items: readonly TimedItem[]): DoseTime[] {
  return items.flatMap((item) => {
    const { circuit } = item;
    if (!circuit) return [doseMinutes(timed(item))];
    const all = items.filter((other) => other.circuit?.number === circuit.number);
    if (all[0] !== item) return [];
    return [
      circuitMinutes({
        items: all.map(timed),
        rounds: Math.max(...all.map(({ prescription: { dose } }) => dose.sets)),
        betweenItemsSeconds,
        betweenRoundsSeconds: circuit.restSeconds,
      }),
    ];
  });
}

const timed = ({ exercise, prescription }: TimedItem) => ({
  dose: prescription.dose,
  sides: sidesOf(exercise, prescription),
});
