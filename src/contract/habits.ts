import { Type, type Static } from "@sinclair/typebox";
import { Passing } from "~/core/gate/gate";
import { PainSchoolCode } from "~/core/response/pain-school";
import { oneOf } from "~/core/schema/one-of";
import { closed, orNull } from "./fields";

/** How weights, lengths and dates are written. What is prescribed and kept is in kilograms and centimetres all the same. */
export const Ways = Type.Object(
  {
    weight: oneOf(["kg", "lb"]),
    length: oneOf(["cm", "in"]),
    dates: oneOf(["day-month", "month-day"]),
  },
  closed,
);
export type Ways = Static<typeof Ways>;

/** What a clinic begins every patient with, how long it keeps a record after the last episode was closed, and how one signs in. */
export const Habits = Type.Object(
  {
    /** The pain rule that intakes begin with; null: as the stage says. */
    school: orNull(PainSchoolCode),
    /** How gates are passed; null: as the pathway says. */
    passing: orNull(Passing),
    ...Ways.properties,
    /** Whole years; null: no time was set. */
    keepYears: orNull(Type.Integer({ minimum: 1, maximum: 50 })),
    /** Whether everybody who works here signs in with a second factor. */
    demandsFactor: Type.Boolean(),
  },
  closed,
);
export type Habits = Static<typeof Habits>;

export const usualHabits: Habits = {
  school: null,
  passing: null,
  weight: "kg",
  length: "cm",
  dates: "day-month",
  keepYears: null,
  demandsFactor: false,
};
