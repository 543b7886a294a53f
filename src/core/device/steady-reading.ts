/** As long a scale has to stand still before it is read, seconds; and how still, as a share of what it shows or at least so much. */
const steady = { seconds: 1, share: 0.02, leastN: 0.5 } as const;

/**
 * What a scale shows once it stands still: the mean of the last second.
 *
 * @param samples in the scale's unit, oldest first
 * @returns null while it moves, or before it has stood still for a second
 * @example steadyReading(Array.from({ length: 20 }, () => 60), 10) // 60
 * Source: common practice.
 */
export function steadyReading(samples: readonly number[], sampleHz: number): number | null {
  const count = Math.round(steady.seconds * sampleHz);
  if (samples.length < count) return null;
  const last = samples.slice(-count);
  const mean = last.reduce((sum, sample) => sum + sample, 0) / count;
  const allowed = Math.max(steady.leastN, steady.share * Math.abs(mean));
  return last.every((sample) => Math.abs(sample - mean) <= allowed) ? mean : null;
}
