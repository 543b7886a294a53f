import { forgottenBy } from "~/server/remembered";

/** Numbers with which MariaDB refuses to write at all: read only (1290, 1036), a full disk (1021), a full table (1114). */
const refusals = new Set([1290, 1036, 1021, 1114]);
const shownMs = 30_000;

let seenAt = 0;
forgottenBy(() => (seenAt = 0));

/** Whether the database takes nothing just now, whatever it is; remembered for half a minute, for the banner. */
export function isReadingOnly(error: unknown): boolean {
  if (!refusals.has(Number((error as { errno?: number }).errno))) return false;
  seenAt = Date.now();
  return true;
}

/** Whether somebody was refused a write for that within the last half minute. */
export const wasReadingOnly = (): boolean => Date.now() - seenAt < shownMs;

/**
 * Does what goes beside a reading, such as noting it; where the database takes nothing, the reading goes on without.
 *
 * @param missed told so, to be noted elsewhere
 */
export async function besideReading(work: () => Promise<unknown>, missed: () => void): Promise<void> {
  try {
    await work();
  } catch (error) {
    if (!isReadingOnly(error)) throw error;
    missed();
  }
}
