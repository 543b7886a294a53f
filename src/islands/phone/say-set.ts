import type { Prescription } from "~/core/exercise/prescription";
import type { Side } from "~/core/response/session-record";
import { sayNumber, t } from "~/messages/say";

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
