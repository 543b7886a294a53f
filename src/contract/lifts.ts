import { Type, type Static } from "@sinclair/typebox";
import { Lift, LiftEntry } from "~/core/lift/lift";
import { LiftTrend } from "~/core/lift/lift-trend";
import { SmallDoseStep, smallDoseStates } from "~/core/lift/small-dose";
import { oneOf } from "~/core/schema/one-of";
import { endpoint, smallLimit } from "./endpoint";
import { closed, date, meant, orNull, PersonName, uuid, written } from "./fields";
import { recordingRoles, signingRoles } from "./roles";

/** Somebody's own lifting beside the plan: what was lifted, whether it still moves, and what is tried where it does not. */
export const LiftsView = Type.Object(
  {
    episodeId: uuid,
    version: Type.Integer(),
    person: PersonName,
    today: date,
    lifts: Type.Array(Type.Object({ ...Lift.properties, by: Type.String() }, closed)),
    trends: Type.Array(LiftTrend),
    smallDose: Type.Object(
      {
        next: oneOf(smallDoseStates),
        /** When bending forward and backward were last looked at. */
        forwardOn: orNull(date),
        backwardOn: orNull(date),
        steps: Type.Array(Type.Object({ ...SmallDoseStep.properties, by: Type.String() }, closed)),
        /** The exercise of the small dose stands in the plan. */
        inPlan: Type.Boolean(),
      },
      closed,
    ),
    mayRecord: Type.Boolean(),
    maySign: Type.Boolean(),
  },
  closed,
);
export type LiftsView = Static<typeof LiftsView>;

export const LiftBody = Type.Object(
  { id: uuid, ...LiftEntry.properties, supersedes: Type.Optional(uuid), meant },
  closed,
);
export type LiftBody = Static<typeof LiftBody>;

export const SmallDoseBody = Type.Object(
  {
    id: uuid,
    step: SmallDoseStep.properties.step,
    lookOn: date,
    note: Type.Optional(SmallDoseStep.properties.note),
  },
  closed,
);
export type SmallDoseBody = Static<typeof SmallDoseBody>;

export const LiftsWritten = Type.Object({ ...written, lifts: LiftsView }, closed);
export type LiftsWritten = Static<typeof LiftsWritten>;

export const readLifts = endpoint({
  name: "readLifts",
  says: "Lifts of a patient's own training, and what is tried where they stall",
  roles: "signed-in",
  answer: LiftsView,
});

export const recordLift = endpoint({
  name: "recordLift",
  says: "Record a lift, or its correction",
  roles: recordingRoles,
  body: LiftBody,
  limit: smallLimit,
  answer: LiftsWritten,
  status: 201,
});

export const signSmallDose = endpoint({
  name: "signSmallDose",
  says: "Sign what is tried for loads that stall, with the day to look again",
  roles: signingRoles,
  body: SmallDoseBody,
  limit: smallLimit,
  answer: LiftsWritten,
  status: 201,
});
