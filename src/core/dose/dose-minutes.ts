import { Type, type Static } from "@sinclair/typebox";
import { Dose } from "./dose";
import { oneOf } from "~/core/schema/one-of";
import { setSeconds } from "./set-seconds";

const sides = oneOf(
  ["both-together", "each-side", "one-side"],
  "Whether both legs share the work, each has its own sets, or only one has",
);

export const DoseMinutesInput = Type.Object(
  {
    dose: Dose,
    sides,
    changeOverSeconds: Type.Optional(
      Type.Integer({ minimum: 0, maximum: 300, description: "From one side to the other; 5 unless given" }),
    ),
  },
  { additionalProperties: false },
);

export const DoseMinutesOutput = Type.Object({
  minutes: Type.Number(),
  workSeconds: Type.Number(),
  restSeconds: Type.Number(),
  contacts: Type.Integer(),
});
export type DoseTime = Static<typeof DoseMinutesOutput>;

const usualChangeOver = 5;

/**
 * How long a dose takes, computed from itself with every range at its top: work = sets × (reps × tempo, with a
 * hold in each where the dose asks for one, or one hold, or contacts at two a second, or minutes) × sides.
 *
 * Rests stand between sets (sets − 1 of them). Each side for itself: with alternating sides one leg rests while
 * the other works, so of a rest only what the other side's set and two changes do not already fill is waited;
 * without alternating, one side is finished first. Several bouts a day count with all of theirs; between them is no rest.
 *
 * @returns minutes in all, seconds of work and of rest (changes included), and ground contacts of both sides
 * @example doseMinutes({ dose: { sets: 3, reps: { low: 12, top: 12 }, tempo: "1.5-0-1.5-0", restSeconds: 90 }, sides: "both-together" })
 *   // { minutes: 4.8, workSeconds: 108, restSeconds: 180, contacts: 0 }
 * Source: arithmetic; two contacts a second and five seconds' change of side are common practice.
 */
export function doseMinutes(input: Static<typeof DoseMinutesInput>): DoseTime {
  const { dose } = input;
  const changeOver = input.changeOverSeconds ?? usualChangeOver;
  const ofOneSet = setSeconds(dose);
  const bouts = dose.boutsPerDay ?? 1;
  const perSide = bouts * dose.sets * ofOneSet;
  const contactsPerSide = bouts * dose.sets * (dose.contacts?.top ?? 0);
  const gaps = dose.sets - 1;
  if (input.sides !== "each-side") return total(perSide, bouts * gaps * dose.restSeconds, contactsPerSide);
  const rest =
    dose.alternateSides === false
      ? 2 * gaps * dose.restSeconds + changeOver
      : (2 * dose.sets - 1) * changeOver + gaps * Math.max(0, dose.restSeconds - ofOneSet - 2 * changeOver);
  return total(2 * perSide, bouts * rest, 2 * contactsPerSide);
}

function total(workSeconds: number, restSeconds: number, contacts: number): DoseTime {
  return { minutes: (workSeconds + restSeconds) / 60, workSeconds, restSeconds, contacts };
}
