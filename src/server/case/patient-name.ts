import type { Static } from "@sinclair/typebox";
import type { PersonName } from "~/contract/fields";
import { conditionsAt } from "~/core/condition/condition";
import type { LoadedCase } from "./make-case";

/** A patient's name with what has to be kept in mind of them. */
export function patientName({ head, file }: Pick<LoadedCase, "head" | "file">): Static<typeof PersonName> {
  const { givenName, familyName } = head.person;
  const conditions = conditionsAt(file.conditions ?? [], file.asOf);
  return {
    givenName,
    familyName,
    conditions: conditions.map(({ code, short, says }) => ({ code, short, says })),
  };
}
