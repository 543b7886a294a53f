import { Type, type Static } from "@sinclair/typebox";

const closed = { additionalProperties: false };
const words = Type.String({ minLength: 1, maxLength: 400, pattern: "\\S" });

/** Whom to call, by urgency, in the clinic's own words and numbers. */
export const Calls = Type.Object({ emergency: words, "same-day": words, soon: words, review: words }, closed);
export type Calls = Static<typeof Calls>;

export const CallsBody = Type.Object({ id: Type.String({ format: "uuid" }), calls: Calls }, closed);
export type CallsBody = Static<typeof CallsBody>;

export const CallsView = Type.Object({ calls: Calls, maySet: Type.Boolean() }, closed);
export type CallsView = Static<typeof CallsView>;

export const CallsWritten = Type.Object(
  { id: Type.String({ format: "uuid" }), repeated: Type.Boolean(), calls: Calls },
  closed,
);
export type CallsWritten = Static<typeof CallsWritten>;
