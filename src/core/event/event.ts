import { Type, type Static } from "@sinclair/typebox";
import { Restriction } from "~/core/limit/restriction";
import { oneOf } from "~/core/schema/one-of";

export const eventKinds = ["injury", "operation", "reinjury", "brace-off", "crutches-off", "return"] as const;

const closed = { additionalProperties: false };

/** Something that happened to somebody, with its day. A correction is a new entry that takes the place of another. */
export const CaseEvent = Type.Object(
  {
    id: Type.String({ minLength: 1, maxLength: 60 }),
    /** When it was signed. */
    at: Type.String({ format: "date-time" }),
    kind: oneOf(eventKinds),
    on: Type.String({ format: "date", description: "The day on which it happened" }),
    /** Codes of what was done in an operation, all of them. */
    procedures: Type.Optional(Type.Array(Type.String({ maxLength: 60 }), { minItems: 1, maxItems: 8 })),
    graft: Type.Optional(Type.String({ maxLength: 40 })),
    /** What the procedures and the surgeon's sheet limit, each with its days. */
    limits: Type.Optional(Type.Array(Restriction, { maxItems: 60 })),
    /** The event that this one corrects. */
    supersedes: Type.Optional(Type.String({ minLength: 1, maxLength: 60 })),
    /** It did not happen: entered by mistake. */
    withdrawn: Type.Optional(Type.Boolean()),
    reason: Type.String({ maxLength: 400 }),
  },
  closed,
);
export type CaseEvent = Static<typeof CaseEvent>;
export type EventKind = CaseEvent["kind"];
