import type { MessageKey } from "~/messages/en";
import { label, t } from "~/messages/say";

/** What the fields of a dose are called in the form. */
const fieldWords: Readonly<Record<string, MessageKey>> = {
  sets: "prescribe.sets",
  reps: "prescribe.reps",
  hold: "prescribe.hold",
  contacts: "prescribe.contacts",
  minutes: "prescribe.minutes",
  loadKg: "prescribe.load",
  bandN: "prescribe.band",
  effort: "prescribe.effort",
  tempo: "prescribe.tempo",
  halfwayPauseSeconds: "prescribe.tempo.halfway",
  restSeconds: "prescribe.rest",
  daysPerWeek: "prescribe.days",
  boutsPerDay: "prescribe.bouts",
  style: "prescribe.style",
  leg: "prescribe.legs",
  reason: "sign.reason",
};

/** The field that an answer speaks of, in the form's own words; nothing for the whole. */
export function sayField(path: string): string {
  const name = path.split("/").at(-1) ?? "";
  if (path.includes("/settings/")) return `${label("knob", name)}:`;
  const words = fieldWords[name];
  return words ? `${t(words)}:` : "";
}
