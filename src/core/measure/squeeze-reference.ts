import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";
import type { Measure, MeasureResult } from "./measure";
import { bestValue } from "./side-value";

/** What a bilateral squeeze is compared with, and which of the three kinds of reference that is. */
export interface SqueezeReference {
  readonly valueN: number;
  readonly kind: "pre-injury" | "clinic-norm" | "own-best";
  readonly takenOn: string;
}

/**
 * Reference of a two-leg squeeze, which has no other side to compare with: a value from before the injury, else
 * the clinic's norm by body mass, else the patient's own best so far. It always says which one it is.
 *
 * @returns newtons and the kind, or null when there is no result at all
 */
export function squeezeReference(
  measure: Measure,
  results: readonly MeasureResult[],
): SqueezeReference | null {
  for (const kind of ["pre-injury", "clinic-norm"] as const) {
    const of = results.filter((r) => r.measure === measure.code && r.occasion === kind);
    const latest = [...of].sort((a, b) => a.takenOn.localeCompare(b.takenOn)).at(-1);
    if (latest) return { valueN: latest.value, kind, takenOn: latest.takenOn };
  }
  const best = bestValue(measure, "none", results);
  return best ? { valueN: best.value, kind: "own-best", takenOn: best.takenOn } : null;
}

const newtons = Type.Number({ exclusiveMinimum: 0, exclusiveMaximum: 5000 });

export const SqueezeReferenceInput = Type.Object(
  {
    preInjuryN: Type.Optional(newtons),
    normNPerKg: Type.Optional(
      Type.Number({ exclusiveMinimum: 0, maximum: 50, description: "The clinic's own norm" }),
    ),
    bodyMassKg: Type.Optional(Type.Number({ minimum: 20, maximum: 300 })),
    ownBestN: Type.Optional(newtons),
  },
  { additionalProperties: false, minProperties: 1 },
);
export const SqueezeReferenceOutput = Type.Object({
  referenceN: Type.Union([Type.Number(), Type.Null()]),
  kind: Type.Union([oneOf(["pre-injury", "clinic-norm", "own-best"]), Type.Null()]),
});

/**
 * The same choice from plain numbers: before the injury, else norm × body mass, else the own best; both null when
 * nothing suffices.
 *
 * @example chooseSqueezeReference({ normNPerKg: 3.2, bodyMassKg: 75, ownBestN: 210 })
 *   // { referenceN: 240, kind: "clinic-norm" }
 * Source: common practice.
 */
export function chooseSqueezeReference(
  input: Static<typeof SqueezeReferenceInput>,
): Static<typeof SqueezeReferenceOutput> {
  const { preInjuryN, normNPerKg, bodyMassKg, ownBestN } = input;
  if (preInjuryN !== undefined) return { referenceN: preInjuryN, kind: "pre-injury" };
  if (normNPerKg !== undefined && bodyMassKg !== undefined)
    return { referenceN: normNPerKg * bodyMassKg, kind: "clinic-norm" };
  if (ownBestN !== undefined) return { referenceN: ownBestN, kind: "own-best" };
  return { referenceN: null, kind: null };
}
