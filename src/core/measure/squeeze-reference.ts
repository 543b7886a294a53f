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
