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

/** Limbs as far as they were measured, metres. */
export interface MeasuredLimbs {
  readonly shankM: number | null;
  readonly thighM: number | null;
}

/**
 * Height of the patient as measured last, metres, for figures.
 *
 * @returns null when it was never measured
 */
export function measuredHeight(file: Measured): number | null {
  return inMetres(lastOf("standing-height", file));
}

/** Body mass as measured last, kilograms; null when it was never measured. */
export const measuredMass = (file: Measured): number | null => lastOf("body-mass", file);

/** Both. */
export const measuredBody = (file: Measured): MeasuredBody => ({
  heightM: measuredHeight(file),
  massKg: measuredMass(file),
});

/** Shin and thigh as measured last, metres; null where nobody measured them. */
export const measuredLimbs = (file: Measured): MeasuredLimbs => ({
  shankM: inMetres(lastOf("shank-length", file)),
  thighM: inMetres(lastOf("thigh-length", file)),
});

const inMetres = (cm: number | null) => (cm === null ? null : cm / 100);

function lastOf(code: string, { results }: Measured): number | null {
  const own = standingResults(results).filter(({ measure }) => measure === code);
  return own.sort((a, b) => a.takenOn.localeCompare(b.takenOn)).at(-1)?.value ?? null;
}
