/** One comparison: a thing of ours against a baseline measured in the same run. */
export interface Row {
  readonly what: string;
  readonly baseline: string;
  readonly oursMs: number;
  readonly baselineMs: number;
  readonly target: string;
}

export const rounds = 7;
const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

/** Runs both in turn and takes the median of each, so that a drifting machine hits both alike. */
export async function compare(
  ours: () => unknown,
  baseline: () => unknown,
): Promise<{ oursMs: number; baselineMs: number }> {
  const times = { ours: [] as number[], baseline: [] as number[] };
  for (let round = -1; round < rounds; round += 1) {
    const timed = async (work: () => unknown) => {
      const started = performance.now();
      await work();
      return performance.now() - started;
    };
    const [a, b] = [await timed(ours), await timed(baseline)];
    if (round < 0) continue;
    times.ours.push(a);
    times.baseline.push(b);
  }
  return { oursMs: median(times.ours), baselineMs: median(times.baseline) };
}

/** Comparisons as they are printed and kept. */
export const tableOf = (rows: readonly Row[]) =>
  rows.map(({ what, baseline, oursMs, baselineMs, target }) => ({
    what,
    baseline,
    "ours ms": Number(oursMs.toFixed(1)),
    "baseline ms": Number(baselineMs.toFixed(1)),
    ratio: Number((oursMs / baselineMs).toFixed(2)),
    target,
  }));
