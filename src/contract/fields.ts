import { conditionCodes } from "~/core/condition/condition";
import { oneOf } from "~/core/schema/one-of";
import { Type, type Static, type TSchema } from "@sinclair/typebox";

/** Parts that many bodies and answers share. */
export const closed = { additionalProperties: false };
export const uuid = Type.String({ format: "uuid" });
export const instant = Type.String({ format: "date-time" });
export const date = Type.String({ format: "date" });
/** A time of the day as clocks show it: 17:30. */
export const ClockTime = Type.String({ pattern: "^([01]\\d|2[0-3]):[0-5]\\d$" });
/** A code of the catalogue: an exercise, a variant. */
export const code = Type.String({ minLength: 1, maxLength: 80 });
/** Why something was signed, in words that stay. */
/** Whoever sends it has been asked whether amounts that stand out are meant, and they are. */
export const meant = Type.Optional(Type.Boolean());
export const reason = Type.String({ minLength: 3, maxLength: 400, pattern: "\\S" });
export const orNull = <T extends TSchema>(schema: T) => Type.Union([schema, Type.Null()]);

/** A person in a list. */
export const ListedPerson = Type.Object(
  { givenName: Type.String(), familyName: Type.String(), activity: Type.String() },
  closed,
);

/** What is so with somebody beside what hurts, in two or three words, and what to keep in mind. */
export const ConditionWords = Type.Object(
  { code: oneOf(conditionCodes), short: Type.String(), says: Type.String() },
  closed,
);
export type ConditionWords = Static<typeof ConditionWords>;

/** A patient as every view of them names them: with what has to be kept in mind. */
export const PersonName = Type.Object(
  { givenName: Type.String(), familyName: Type.String(), conditions: Type.Array(ConditionWords) },
  closed,
);
export const Person = Type.Object({ ...PersonName.properties, activity: Type.String() }, closed);

/** A limit in words: from when, until when and where from; null where it has no such day. */
export const LimitLine = Type.Object(
  { says: Type.String(), origin: Type.String(), from: orNull(date), until: orNull(date) },
  closed,
);
export type LimitLine = Static<typeof LimitLine>;

/** Measured height, metres, for figures; null while nobody measured it. */
export const HeightM = orNull(Type.Number({ minimum: 1, maximum: 2.4 }));

/** What every write answers besides what stands now: its id, and whether a twin of this call had written it before. */
export const written = { id: uuid, repeated: Type.Boolean() };
