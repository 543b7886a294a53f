import { Type, type Static } from "@sinclair/typebox";

/** What can be taken out of the judgement of a record: what was written into the wrong record, or never was so. */
export const voidedKinds = ["session", "report", "result", "document"] as const;
export type VoidedKind = (typeof voidedKinds)[number];

/** When something was voided, and why; it stays in the record. */
export const Voided = Type.Object(
  {
    id: Type.String({ minLength: 1, maxLength: 60 }),
    at: Type.String({ format: "date-time" }),
    reason: Type.String(),
  },
  { additionalProperties: false },
);
export type Voided = Static<typeof Voided>;

/**
 * Whether something in a record was voided by an instant: it stands in the record and is judged no more.
 *
 * @param asOf ISO instant; whenever it was, when left out
 * @example isVoided({ voided: { id: "v", at: "2026-03-02T08:00:00Z", reason: "Another patient's" } }) // true
 * @example isVoided({ voided: { id: "v", at: "2026-03-02T08:00:00Z", reason: "Another patient's" } }, "2026-03-01T08:00:00Z") // false
 * @example isVoided({}) // false
 */
export function isVoided({ voided }: { readonly voided?: Voided | undefined }, asOf?: string): boolean {
  return voided !== undefined && (asOf === undefined || Date.parse(voided.at) <= Date.parse(asOf));
}

/** A fact as it was known at an instant: a voiding that came later is not known yet. */
export function unlessVoidedLater<T extends { readonly voided?: Voided }>(fact: T, at: string): T {
  if (!fact.voided || isVoided(fact, at)) return fact;
  const { voided: _later, ...before } = fact;
  return before as T;
}
