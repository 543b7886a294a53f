import { Type, type Static } from "@sinclair/typebox";
import { InvolvedSide } from "~/core/measure/side-value";
import { PainSchoolCode } from "~/core/response/pain-school";
import { Calls } from "./clinic";
import { endpoint } from "./endpoint";
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

export const readHandout = endpoint({
  name: "readHandout",
  says: "What a patient takes home on paper",
  roles: "signed-in",
  answer: HandoutView,
});
