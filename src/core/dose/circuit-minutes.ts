import { Type, type Static } from "@sinclair/typebox";
import { doseMinutes, DoseMinutesInput, type DoseTime } from "./dose-minutes";

export const CircuitMinutesInput = Type.Object(
  {
    items: Type.Array(DoseMinutesInput, { minItems: 1, maxItems: 20 }),
    rounds: Type.Integer({ minimum: 1, maximum: 10 }),
    betweenItemsSeconds: Type.Integer({ minimum: 0, maximum: 300 }),
    betweenRoundsSeconds: Type.Integer({ minimum: 0, maximum: 900 }),
  },
  { additionalProperties: false },
);

/**
 * How long a circuit takes: one set of every item in turn, so many rounds, with a pause from item to item and a longer
 * one from round to round. The items' own set counts and rests do not count: the rounds stand for them.
 *
 * @returns as `doseMinutes`
 * @example circuitMinutes({ items: [{ dose: { sets: 1, hold: { low: 30, top: 30 }, restSeconds: 0 }, sides: "both-together" }], rounds: 3, betweenItemsSeconds: 15, betweenRoundsSeconds: 60 })
 *   // { minutes: 3.5, workSeconds: 90, restSeconds: 120 }
 * Source: arithmetic.
 */
export function circuitMinutes(input: Static<typeof CircuitMinutesInput>): DoseTime {
  const once = input.items.map((item) =>
    doseMinutes({ ...item, dose: { ...item.dose, sets: 1, restSeconds: 0 } }),
  );
  const sum = (pick: (time: DoseTime) => number) => once.reduce((all, time) => all + pick(time), 0);
  const { rounds } = input;
  const workSeconds = rounds * sum((time) => time.workSeconds);
  const restSeconds =
    rounds * (sum((time) => time.restSeconds) + (once.length - 1) * input.betweenItemsSeconds) +
    (rounds - 1) * input.betweenRoundsSeconds;
  const contacts = rounds * sum((time) => time.contacts);
  return { minutes: (workSeconds + restSeconds) / 60, workSeconds, restSeconds, contacts };
}
