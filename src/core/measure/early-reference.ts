import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";
import { limbSymmetry } from "./limb-symmetry";
import type { Measure, MeasureResult } from "./measure";
import { otherSide, summariseDay, type DatedValue, type InvolvedSide } from "./side-value";

export const EarlyReferenceInput = Type.Object(
  {
    involvedNow: Type.Number({ minimum: 0, description: "Value of the involved side today" }),
    uninvolvedFirst: Type.Number({ minimum: 0, description: "First value of the uninvolved side" }),
    better: oneOf(["higher", "lower"]),
  },
  { additionalProperties: false },
);
export const EarlyReferenceOutput = Type.Object({ percent: Type.Number() });

/**
 * Today's involved side against the uninvolved side at its first measurement: an estimate of capacity before the
 * injury. Lower than the limb symmetry index when the other limb has weakened since.
 *
 * @throws RangeError when the side that divides is zero
 * @example earlyReference({ involvedNow: 80, uninvolvedFirst: 100, better: "higher" }) // { percent: 80 }
 * Source: Wellsandt 2017, recalled.
 */
export function earlyReference(
  input: Static<typeof EarlyReferenceInput>,
): Static<typeof EarlyReferenceOutput> {
  const { involvedNow, uninvolvedFirst, better } = input;
  const { lsiPercent } = limbSymmetry({ involved: involvedNow, uninvolved: uninvolvedFirst, better });
  return { percent: lsiPercent };
}

/** Today's involved side against the first value of the other one, and which kind of first that is. */
export const EarlyPercent = Type.Object({
  percent: Type.Number(),
  takenOn: Type.String({ format: "date" }),
  kind: oneOf(["before-surgery", "earliest-after"]),
});
export type EarlyPercent = Static<typeof EarlyPercent>;

/** The first value of the uninvolved side, and which kind of first it is. */
export interface FirstValue extends DatedValue {
  readonly kind: "before-surgery" | "earliest-after";
}

/**
 * The proposed early reference of a measure: the first day on which the uninvolved side was taken; before surgery
 * where there was one and a value from before it, otherwise the earliest after.
 *
 * @returns null when both sides are involved or the side was never taken
 */
export function firstUninvolved(
  measure: Measure,
  involved: InvolvedSide,
  results: readonly MeasureResult[],
  surgeryOn: string | undefined,
): FirstValue | null {
  const side = otherSide(involved);
  const taken = results.filter(
    (r) => r.measure === measure.code && r.side === side && r.occasion === "since-injury",
  );
  const takenOn = taken.map((r) => r.takenOn).sort()[0];
  if (takenOn === undefined) return null;
  const value = summariseDay(
    measure,
    taken.filter((r) => r.takenOn === takenOn),
  );
  const before = surgeryOn !== undefined && takenOn < surgeryOn;
  return { value, takenOn, kind: before ? "before-surgery" : "earliest-after" };
}
