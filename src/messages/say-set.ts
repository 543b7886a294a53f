import type { Prescription } from "~/core/exercise/prescription";
import type { Side } from "~/core/response/session-record";
import type { RunStep } from "~/core/run/guided-run";
import type { HandoutKey } from "./de-handout";
import { sayNumber, sayWeight, t, type Values } from "./say";

/** Who says it: the product itself, or a speaker of another language. */
export interface Say {
  readonly t: (key: HandoutKey, values?: Values) => string;
  readonly number: (value: number) => string;
}

/** The product itself. */
export const here: Say = { t, number: sayNumber };

/** What one set is, in the patient's words: 12 times, 10 kg. */
export function saySet({ dose }: Pick<Prescription, "dose">, say: Say = here): string {
  const { reps, hold, contacts, minutes, loadKg } = dose;
  return [
    reps ? say.t("phone.repsWanted", { reps: reps.top }) : "",
    hold
      ? reps
        ? hold.top > 1
          ? say.t("phone.holdEach", { seconds: hold.top })
          : ""
        : say.t("phone.holdWanted", { seconds: hold.top })
      : "",
    contacts ? say.t("phone.contactsWanted", { contacts: contacts.top }) : "",
    minutes ? say.t("phone.minutesWanted", { minutes: say.number(minutes) }) : "",
    loadKg ? sayWeight(loadKg, say) : "",
  ]
    .filter(Boolean)
    .join(", ");
}

export const saySide = (side: Side, say: Say = here): string =>
  say.t(side === "both" ? "phone.bothLegs" : side === "left" ? "phone.leftLeg" : "phone.rightLeg");

/** What comes next, for the ear: the leg that works, a rest, a change; the end where nothing comes. */
export function sayStep(step: RunStep | undefined): string {
  if (!step) return t("phone.overTitle");
  return step.kind === "work" ? saySide(step.side) : t(`phone.${step.kind}`);
}
