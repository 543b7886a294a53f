import { Type, type Static } from "@sinclair/typebox";
import { Restriction } from "~/core/limit/restriction";
import { oneOf } from "~/core/schema/one-of";

export const conditionCodes = [
  "falls",
  "thin-bones",
  "tendon-medicine",
  "blood-thinners",
  "heart",
  "pregnancy",
  "nerve-loss",
  "growing",
  "inflammatory-flare",
  "inflammatory",
  "diabetes",
  "lung",
  "low-energy",
] as const;
export type ConditionCode = (typeof conditionCodes)[number];

/** Something that is so with somebody beside what hurts: what to ask, what it limits, what to say. */
export interface ConditionDefinition {
  readonly code: ConditionCode;
  /** Two or three words beside the name. */
  readonly short: string;
  readonly asks: string;
  /** What to keep in mind; stands where the risk is. */
  readonly says: string;
  readonly limits: readonly Restriction[];
  /** Nothing gets harder while it lasts. */
  readonly stills?: boolean;
}

/** A condition of the person as a case file holds it: with its words and what it limits. */
export const CaseCondition = Type.Object(
  {
    code: oneOf(conditionCodes),
    /** Since when the record knows of it, and until when it held. */
    at: Type.String({ format: "date-time" }),
    endedAt: Type.Optional(Type.String({ format: "date-time" })),
    short: Type.String({ maxLength: 60 }),
    says: Type.String({ maxLength: 300 }),
    limits: Type.Array(Restriction, { maxItems: 12 }),
    stills: Type.Optional(Type.Boolean()),
  },
  { additionalProperties: false },
);
export type CaseCondition = Static<typeof CaseCondition>;

/**
 * The conditions that hold at an instant.
 *
 * @example conditionsAt([{ code: "falls", at: "2026-03-01T08:00:00Z", endedAt: "2026-03-05T08:00:00Z", short: "falls", says: "x", limits: [] }], "2026-03-06T08:00:00Z") // []
 */
export function conditionsAt(conditions: readonly CaseCondition[], asOf: string): CaseCondition[] {
  const by = (at: string) => Date.parse(at) <= Date.parse(asOf);
  return conditions.filter(({ at, endedAt }) => by(at) && (endedAt === undefined || !by(endedAt)));
}
