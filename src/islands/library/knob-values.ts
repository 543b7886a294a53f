import { offeredWords } from "~/catalogue/figures/offered";
import { variantOf, type Exercise } from "~/core/exercise/exercise";
import { knobByName } from "~/core/exercise/knob";
import type { KnobValue, Prescription } from "~/core/exercise/prescription";

/** A knob that can be turned here, and where it can stand, easy to hard. */
export interface KnobChoice {
  readonly name: string;
  readonly value: KnobValue;
  readonly values: readonly KnobValue[];
}

/** Knobs of how the body stands: of these every word is a choice that the movement's figure shows. */
const postures: ReadonlySet<string> = new Set([
  "support",
  "range",
  "knee-travel",
  "trunk",
  "stance-length",
  "stance-width",
  "foot-turn",
  "raised",
  "direction",
  "sit-back-at",
  "free-leg",
]);

/**
 * The knobs of a prescription with every value that the exercise knows for them: those of its variants and of their
 * ladders, and how else its figure can stand. A load runs in the steps of its own turn.
 */
export function knobChoices(exercise: Exercise, prescription: Prescription): KnobChoice[] {
  const variant = variantOf(exercise, prescription.variantId);
  const names = new Set([...Object.keys(prescription.settings), ...variant.turns.map(({ knob }) => knob)]);
  return [...names].flatMap((name) => {
    const knob = knobByName(name);
    const value = knob.read(prescription);
    if (value === undefined) return [];
    const known = exercise.variants.flatMap((other) => [
      ...(other.settings[name] === undefined ? [] : [other.settings[name]]),
      ...other.turns.flatMap((turn) => ("ladder" in turn && turn.knob === name ? turn.ladder : [])),
    ]);
    const stood = postures.has(name) ? offeredWords(exercise, name) : [];
    const turn = variant.turns.find((own) => own.knob === name);
    const loads =
      turn && "incrementKg" in turn ? stepsAround(Number(value), turn.incrementKg, turn.maximumKg) : [];
    const values = [...new Set([...known, ...stood, ...loads, value])].sort(
      (a, b) => knob.rank(a) - knob.rank(b),
    );
    return [{ name, value, values }];
  });
}

function stepsAround(value: number, step: number, most: number): number[] {
  return Array.from({ length: 21 }, (_, n) => Math.round((value + (n - 10) * step) * 100) / 100).filter(
    (load) => load > 0 && load <= most,
  );
}

/**
 * A prescription with one knob turned. When its settings are now those of another variant, it becomes that variant and
 * keeps its dose.
 */
export function turnedTo(
  exercise: Exercise,
  prescription: Prescription,
  name: string,
  value: KnobValue,
): Prescription {
  const turned = knobByName(name).write(prescription, value);
  const same = exercise.variants.find(
    ({ settings }) =>
      Object.keys(settings).length === Object.keys(turned.settings).length &&
      Object.entries(settings).every(([knob, at]) => turned.settings[knob] === at),
  );
  return same ? { ...turned, variantId: same.id } : turned;
}
