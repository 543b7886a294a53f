import type { FieldPath } from "react-hook-form";
import type { MessageKey } from "~/messages/en";
import type { IntakeFields } from "./intake-fields";

/** A field without which nothing can be proposed, and what it is called. */
export interface MissingField {
  readonly name: FieldPath<IntakeFields>;
  readonly says: MessageKey;
}

const needed: readonly MissingField[] = [
  { name: "flagsAsked", says: "intake.screen" },
  { name: "consent", says: "intake.missingConsent" },
  { name: "givenName", says: "intake.givenName" },
  { name: "familyName", says: "intake.familyName" },
  { name: "bornOn", says: "intake.bornOn" },
  { name: "activity", says: "intake.activity" },
  { name: "pathway", says: "intake.pathway" },
  { name: "involvedSide", says: "intake.side" },
  { name: "diagnosis", says: "intake.diagnosis" },
  { name: "onsetOn", says: "intake.onsetOn" },
];

/**
 * What must be there before a stage and a plan can be proposed, in the order of the form. Whether it can be right, the server
 * says.
 *
 * @example missingFields({ ...emptyIntake, flagsAsked: true, consent: true, givenName: "Runa" }).length // 7
 */
export function missingFields(fields: IntakeFields): MissingField[] {
  return needed.filter(({ name }) => {
    const value = fields[name as keyof IntakeFields];
    return value === false || (typeof value === "string" && value.trim() === "");
  });
}
