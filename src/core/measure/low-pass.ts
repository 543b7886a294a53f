/** Above this, movement of a force trace is noise, Hz (common practice). */
const cutoffHz = 20;
/** Samples that are mirrored before and after, so that the ends do not ring. */
const mirrored = 9;

/**
 * A signal smoothed without delay: a second-order Butterworth low-pass at 20 Hz by the bilinear transform, prewarped, forward
 * and then backward, the ends mirrored about themselves, each pass begun in the steady state of its first sample.
 *
 * @param signal ten samples at least
 * @param sampleHz samples a second, above 40
 * @returns as many samples
 * @example lowPass(Array.from({ length: 50 }, () => 3), 100)[25] // 3
 * Source: Butterworth 1930; forward and backward as in Gustafsson 1996; recalled.
 */
export function lowPass(signal: readonly number[], sampleHz: number): number[] {
  const [first, last] = [signal[0] ?? 0, signal.at(-1) ?? 0];
  const before = signal.slice(1, mirrored + 1).reverse();
  const after = signal.slice(-mirrored - 1, -1).reverse();
  const padded = [
    ...before.map((sample) => 2 * first - sample),
    ...signal,
    ...after.map((sample) => 2 * last - sample),
  ];
  const forward = onePass(padded, sampleHz);
  const back = onePass(forward.reverse(), sampleHz).reverse();
  return back.slice(mirrored, mirrored + signal.length);
}

function onePass(signal: readonly number[], sampleHz: number): number[] {
  const k = Math.tan((Math.PI * cutoffHz) / sampleHz);
  const scale = 1 / (1 + Math.SQRT2 * k + k * k);
  const b0 = k * k * scale;
  const a1 = 2 * (k * k - 1) * scale;
  const a2 = (1 - Math.SQRT2 * k + k * k) * scale;
  const start = signal[0] ?? 0;
  let [z1, z2] = [(1 - b0) * start, (b0 - a2) * start];
  return signal.map((sample) => {
    const out = b0 * sample + z1;
    z1 = 2 * b0 * sample - a1 * out + z2;
    z2 = b0 * sample - a2 * out;
    return out;
  });
}
