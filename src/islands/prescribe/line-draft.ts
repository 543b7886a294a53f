import { offeredWords } from "~/catalogue/figures/offered";
import type { Dose } from "~/core/dose/dose";
import type { SettingWord, DoseLineTurns } from "~/core/prescribe/dose-term";
import type { Exercise, Variant } from "~/core/exercise/exercise";
import { sayKnobValue } from "~/messages/say-knob-value";
import { label } from "~/messages/say";
import { draftOf, prescriptionOf, type PrescribeDraft } from "./prescribe-draft";

/** The words that a dose line can say of a variant: where each of its worded settings can stand. */
export function lineWords(exercise: Pick<Exercise, "id" | "drawnLike">, variant: Variant): SettingWord[] {
  return Object.keys(variant.settings).flatMap((knob) =>
    offeredWords(exercise, knob).map((value) => ({
      knob,
      value,
      label: label("knob", knob),
      said: sayKnobValue(knob, value),
    })),
  );
}

/** Which field of the form holds which part of a dose. */
const fieldsOfDose = {
  sets: "sets",
  reps: "reps",
  hold: "hold",
  contacts: "contacts",
  minutes: "minutes",
  loadKg: "loadKg",
  effort: "effort",
  bandN: "bandN",
  tempo: "tempo",
  halfway: "halfwayPauseSeconds",
  restSeconds: "restSeconds",
  daysPerWeek: "daysPerWeek",
  boutsPerDay: "boutsPerDay",
} as const satisfies Partial<Record<keyof PrescribeDraft, keyof Dose>>;

/** The form with what a line says; the fields that it does not speak of as they were. */
export function withLine(
  draft: PrescribeDraft,
  { settings = {}, dose = {}, leg }: DoseLineTurns,
): PrescribeDraft {
  const said = draftOf({
    variantId: draft.variantId,
    settings,
    dose: { ...prescriptionOf(draft).dose, ...dose },
  });
  const fields = (Object.keys(fieldsOfDose) as (keyof typeof fieldsOfDose)[]).filter(
    (field) => fieldsOfDose[field] in dose,
  );
  return {
    ...draft,
    ...Object.fromEntries(fields.map((field) => [field, said[field]])),
    settings: { ...draft.settings, ...said.settings },
    leg: leg === undefined ? draft.leg : (leg ?? ""),
  };
}
