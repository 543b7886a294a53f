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

/** The form with what a line says; the fields that it does not speak of as they were. */
export function withLine(draft: PrescribeDraft, { settings, dose = {}, leg }: DoseLineTurns): PrescribeDraft {
  const { variantId, settings: before } = draft;
  const told = { ...prescriptionOf(draft).dose, ...dose } satisfies Dose;
  const said = draftOf({ variantId, settings: settings ?? {}, dose: told });
  const names = new Set(Object.keys(dose));
  const from = <K extends keyof PrescribeDraft>(field: K, ofDose: keyof Dose): PrescribeDraft[K] =>
    names.has(ofDose) ? said[field] : draft[field];
  return {
    ...draft,
    settings: { ...before, ...said.settings },
    sets: from("sets", "sets"),
    reps: from("reps", "reps"),
    hold: from("hold", "hold"),
    contacts: from("contacts", "contacts"),
    minutes: from("minutes", "minutes"),
    loadKg: from("loadKg", "loadKg"),
    effort: from("effort", "effort"),
    bandN: from("bandN", "bandN"),
    tempo: from("tempo", "tempo"),
    halfway: from("halfway", "halfwayPauseSeconds"),
    restSeconds: from("restSeconds", "restSeconds"),
    daysPerWeek: from("daysPerWeek", "daysPerWeek"),
    boutsPerDay: from("boutsPerDay", "boutsPerDay"),
    leg: leg === undefined ? draft.leg : (leg ?? ""),
  };
}
