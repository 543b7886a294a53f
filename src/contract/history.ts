import { Type, type Static } from "@sinclair/typebox";
import { conditionCodes } from "~/core/condition/condition";
import { eventKinds } from "~/core/event/event";
import { Restriction } from "~/core/limit/restriction";
import { InvolvedSide } from "~/core/measure/side-value";
import { oneOf } from "~/core/schema/one-of";
import { endpoint } from "./endpoint";
import {
  closed,
  ConditionWords,
  date,
  instant,
  LimitLine,
  orNull,
  PersonName,
  reason,
  uuid,
  written,
} from "./fields";
import { signingRoles } from "./roles";

export const EventLine = Type.Object(
  {
    id: uuid,
    kind: oneOf(eventKinds),
    on: date,
    procedures: Type.Array(Type.Object({ code: Type.String(), name: Type.String() }, closed)),
    graft: orNull(Type.String()),
    /** Its limits that are the surgeon's: own lines, and usual ones with another end. */
    sheet: Type.Array(Restriction),
    reason: Type.String(),
    by: Type.String(),
    at: instant,
  },
  closed,
);
export type EventLine = Static<typeof EventLine>;

export const ProcedureChoice = Type.Object(
  {
    code: Type.String(),
    name: Type.String(),
    grafts: Type.Array(Type.String()),
    asksWeight: Type.Boolean(),
    limits: Type.Array(
      Type.Object(
        {
          id: Type.String(),
          says: Type.String(),
          untilDay: orNull(Type.Integer()),
          /** Only for these grafts; empty for all. */
          grafts: Type.Array(Type.String()),
        },
        closed,
      ),
    ),
  },
  closed,
);
export type ProcedureChoice = Static<typeof ProcedureChoice>;

/** What happened to somebody, what is so with them, and what that limits. */
export const HistoryView = Type.Object(
  {
    episodeId: uuid,
    version: Type.Integer(),
    person: PersonName,
    involvedSide: InvolvedSide,
    diagnosis: Type.String(),
    today: date,
    zone: Type.String(),
    onsetOn: date,
    /** A date that is planned; nothing counts from it. */
    plannedOn: orNull(date),
    events: Type.Array(EventLine),
    limits: Type.Array(LimitLine),
    conditions: Type.Array(
      Type.Object({ ...ConditionWords.properties, at: instant, limits: Type.Array(Type.String()) }, closed),
    ),
    /** What else hurts, from the person's other episodes. */
    elsewhere: Type.Array(Type.String()),
    procedures: Type.Array(ProcedureChoice),
    conditionChoices: Type.Array(Type.Object({ code: oneOf(conditionCodes), asks: Type.String() }, closed)),
    /** Body mass, kg, for weight written in kilograms; null where nobody took it. */
    bodyMassKg: orNull(Type.Number()),
    maySign: Type.Boolean(),
  },
  closed,
);
export type HistoryView = Static<typeof HistoryView>;

export const EventBody = Type.Object(
  {
    id: uuid,
    kind: oneOf(eventKinds),
    on: date,
    procedures: Type.Optional(Type.Array(Type.String({ maxLength: 60 }), { minItems: 1, maxItems: 8 })),
    graft: Type.Optional(Type.String({ maxLength: 40 })),
    /** The surgeon's own lines. */
    sheet: Type.Optional(Type.Array(Restriction, { maxItems: 20 })),
    /** Limits of a procedure for which the sheet says another end; null for none. */
    ends: Type.Optional(
      Type.Array(
        Type.Object({ procedure: Type.String(), limit: Type.String(), until: orNull(date) }, closed),
        { maxItems: 40 },
      ),
    ),
    /** The event that this one corrects. */
    supersedes: Type.Optional(uuid),
    /** It did not happen. */
    withdrawn: Type.Optional(Type.Boolean()),
    reason,
  },
  closed,
);
export type EventBody = Static<typeof EventBody>;

export const ConditionBody = Type.Object(
  { id: uuid, code: oneOf(conditionCodes), present: Type.Boolean(), reason },
  closed,
);
export type ConditionBody = Static<typeof ConditionBody>;

export const HistoryWritten = Type.Object({ ...written, history: HistoryView }, closed);
export type HistoryWritten = Static<typeof HistoryWritten>;

export const readHistory = endpoint({
  name: "readHistory",
  says: "Events, conditions and limits of a patient",
  roles: "signed-in",
  answer: HistoryView,
});

export const recordEvent = endpoint({
  name: "recordEvent",
  says: "Sign an event, or its correction",
  roles: signingRoles,
  body: EventBody,
  answer: HistoryWritten,
  status: 201,
});

export const setCondition = endpoint({
  name: "setCondition",
  says: "Sign that a condition of the person began or ended",
  roles: signingRoles,
  body: ConditionBody,
  answer: HistoryWritten,
  status: 201,
});
