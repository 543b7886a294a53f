import type { Prescription } from "~/core/exercise/prescription";
import type { Side } from "~/core/response/session-record";
import type { RunStep } from "~/core/run/guided-run";
import { sayNumber, t } from "./say";

/** What one set is, in the patient's words: 12 times, 10 kg. */
export function saySet({ dose }: Pick<Prescription, "dose">): string {
  const { reps, hold, contacts, minutes, loadKg } = dose;
  return [
    reps ? t("phone.repsWanted", { reps: reps.top }) : "",
    hold
      ? reps
        ? hold.top > 1
          ? t("phone.holdEach", { seconds: hold.top })
          : ""
        : t("phone.holdWanted", { seconds: hold.top })
      : "",
    contacts ? t("phone.contactsWanted", { contacts: contacts.top }) : "",
    minutes ? t("phone.minutesWanted", { minutes: sayNumber(minutes) }) : "",
    loadKg ? t("phone.weight", { kg: sayNumber(loadKg) }) : "",
  ]
    .filter(Boolean)
    .join(", ");
}

export const saySide = (side: Side): string =>
  t(side === "both" ? "phone.bothLegs" : side === "left" ? "phone.leftLeg" : "phone.rightLeg");

/** What comes next, for the ear: the leg that works, a rest, a change; the end where nothing comes. */
export function sayStep(step: RunStep | undefined): string {
  if (!step) return t("phone.overTitle");
  return step.kind === "work" ? saySide(step.side) : t(`phone.${step.kind}`);
}
