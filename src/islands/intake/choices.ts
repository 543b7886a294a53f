import type { Pathway } from "~/core/pathway/pathway";
import type { IntakeFields } from "./intake-fields";

/** A pathway as the form offers it. */
export type PathwayChoice = Pick<Pathway, "code" | "name" | "procedures" | "grafts" | "region"> & {
  stages: {
    code: string;
    name: string;
    caution: string | null;
    beforeSurgery: boolean;
    /** What the gate out of it reads. */
    measures: string[];
  }[];
};

/** Somebody the clinic knows, for whom another episode is taken in. */
export type KnownPerson = Pick<
  IntakeFields,
  "beside" | "givenName" | "familyName" | "bornOn" | "activity" | "normGroup"
>;

/** Measures of the body itself, by which it is drawn and loads are judged. */
export const bodyMeasures: readonly string[] = ["standing-height", "body-mass"];
