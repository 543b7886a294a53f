import { standingResults, type MeasureResult } from "~/core/measure/measure";

const code = "standing-height";

/**
 * Height of the patient as measured last, metres, for figures.
 *
 * @returns null when it was never measured
 */
export function measuredHeight({ results }: { readonly results: readonly MeasureResult[] }): number | null {
  const own = standingResults(results).filter(({ measure }) => measure === code);
  const last = own.sort((a, b) => a.takenOn.localeCompare(b.takenOn)).at(-1);
  return last === undefined ? null : last.value / 100;
}
