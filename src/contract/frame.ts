import { Type, type Static } from "@sinclair/typebox";
import { episodeStates } from "~/core/episode/episode-turn";
import { InvolvedSide } from "~/core/measure/side-value";
import { oneOf } from "~/core/schema/one-of";
import { Calls } from "./clinic";
import { endpoint } from "./endpoint";
import { OpenSignal, Surgery } from "./episode";
import { closed, date, instant, LimitLine, orNull, PersonName, uuid } from "./fields";

/** What stands at the head of every view of a patient: who it is, how far on, what holds, what is wrong. */
export const PatientFrame = Type.Object(
  {
    episodeId: uuid,
    person: PersonName,
    birthYear: Type.Integer(),
    /** Whole years. */
    age: Type.Integer(),
    activity: Type.String(),
    diagnosis: Type.String(),
    involvedSide: InvolvedSide,
    daysSinceOnset: Type.Integer(),
    surgery: Surgery,
    /** Day of an operation that is only planned. */
    plannedOn: Type.Union([date, Type.Null()]),
    /** What else hurts, from the person's other episodes. */
    elsewhere: Type.Array(Type.String()),
    stage: Type.Object({ name: Type.String(), number: Type.Integer(), of: Type.Integer() }, closed),
    limits: Type.Array(LimitLine),
    signals: Type.Array(OpenSignal),
    calls: Calls,
    zone: Type.String(),
    today: date,
    /** Exercises of the plan in which something may have gone wrong. */
    items: Type.Array(Type.Object({ itemId: uuid, name: Type.String() }, closed)),
    /** The person lifts in training of their own: it is a back, or lifts are known. */
    lifts: Type.Boolean(),
    state: oneOf(episodeStates),
    /** Why it rests or ended, and since when; null for one that goes on. */
    resting: orNull(Type.Object({ at: instant, reason: Type.String() }, closed)),
    maySign: Type.Boolean(),
  },
  closed,
);
export type PatientFrame = Static<typeof PatientFrame>;

export const readFrame = endpoint({
  name: "readFrame",
  says: "What stands at the head of every view of a patient",
  roles: "signed-in",
  answer: PatientFrame,
});
