import { Type, type Static } from "@sinclair/typebox";
import { InvolvedSide } from "~/core/measure/side-value";
import { PainSchoolCode } from "~/core/response/pain-school";
import { Calls } from "./clinic";
import { oneOf } from "~/core/schema/one-of";
import { languages } from "./languages";
import { endpoint, smallLimit } from "./endpoint";
import { closed, date, HeightM, LimitLine, PersonName, uuid } from "./fields";
import { PhoneItem, PlannedDays } from "./phone";

/** What a patient takes home on paper: the exercises as they are done, the days, the rule of pain, whom to call. */
export const HandoutView = Type.Object(
  {
    episodeId: uuid,
    person: PersonName,
    clinicName: Type.String(),
    calls: Calls,
    today: date,
    zone: Type.String(),
    involvedSide: InvolvedSide,
    heightM: HeightM,
    school: PainSchoolCode,
    items: Type.Array(PhoneItem),
    days: PlannedDays,
    limits: Type.Array(LimitLine),
    /** Somebody may make the code that opens the same plan on a phone. */
    mayMakeCode: Type.Boolean(),
  },
  closed,
);
export type HandoutView = Static<typeof HandoutView>;

/** How the sheet is printed; with a code for the phone that was made before, where it is to stand on it. */
export const SheetBody = Type.Object(
  {
    language: oneOf(languages, "What the product says; the clinic's own words stay as they are"),
    letters: oneOf(["usual", "large"]),
    ink: oneOf(["colour", "black"]),
    paper: oneOf(["a4", "letter"]),
    phone: Type.Optional(
      Type.Object({ token: Type.String({ maxLength: 80 }), code: Type.String({ maxLength: 40 }) }, closed),
    ),
  },
  closed,
);
export type SheetBody = Static<typeof SheetBody>;

export const printHandout = endpoint({
  name: "printHandout",
  says: "The same as a PDF to print, in one of the languages",
  roles: "signed-in",
  body: SheetBody,
  limit: smallLimit,
  answer: Type.Unsafe<BodyInit>({ type: "string", format: "binary" }),
  media: "application/pdf",
  file: "exercises.pdf",
});

export const readHandout = endpoint({
  name: "readHandout",
  says: "What a patient takes home on paper",
  roles: "signed-in",
  answer: HandoutView,
});
