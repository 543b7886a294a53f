import { standingResults, type MeasureResult } from "~/core/measure/measure";

interface Measured {
  readonly results: readonly MeasureResult[];
}

/** A body as far as it was measured. */
export interface MeasuredBody {
  /** Metres. */
  readonly heightM: number | null;
  /** Kilograms. */
  readonly massKg: number | null;
}

/**
 * Height of the patient as measured last, metres, for figures.
 *
 * @returns null when it was never measured
 */
export function measuredHeight(file: Measured): number | null {
  const cm = lastOf("standing-height", file);
  return cm === null ? null : cm / 100;
}

/** Body mass as measured last, kilograms; null when it was never measured. */
export const measuredMass = (file: Measured): number | null => lastOf("body-mass", file);

/** Both. */
export const measuredBody = (file: Measured): MeasuredBody => ({
  heightM: measuredHeight(file),
  massKg: measuredMass(file),
});

function lastOf(code: string, { results }: Measured): number | null {
  const own = standingResults(results).filter(({ measure }) => measure === code);
  return own.sort((a, b) => a.takenOn.localeCompare(b.takenOn)).at(-1)?.value ?? null;
}
