import { Type, type Static } from "@sinclair/typebox";
import { problemIf, type FieldProblem } from "~/core/schema/field-problem";
import { lowPass } from "./low-pass";

/** Samples that one trace may have: two minutes at the fastest. */
const mostSamples = 240_000;
const leastSeconds = 2;

export const TraceAnalysisInput = Type.Object(
  {
    sampleHz: Type.Number({ minimum: 100, maximum: 2000 }),
    forceN: Type.Array(Type.Number(), { maxItems: mostSamples }),
  },
  { additionalProperties: false },
);
export type TraceAnalysisInput = Static<typeof TraceAnalysisInput>;

const orNone = Type.Union([Type.Number(), Type.Null()]);
export const TraceAnalysisOutput = Type.Union([
  Type.Object({
    found: Type.Literal(true),
    baselineN: Type.Number(),
    baselineSdN: Type.Number(),
    onsetSeconds: Type.Number(),
    peakN: Type.Number(),
    bestSecondMeanN: Type.Number(),
    riseTo100N: orNone,
    riseTo200N: orNone,
    cleanOnset: Type.Boolean(),
  }),
  Type.Object({ found: Type.Literal(false), reason: Type.String() }),
]);

/** A trace shorter than two seconds tells nothing. */
export const traceProblems = ({ sampleHz, forceN }: TraceAnalysisInput): FieldProblem[] =>
  problemIf(forceN.length < leastSeconds * sampleHz, "/forceN", "must last two seconds at least");

const quietSeconds = 0.5;
/** An onset is this many standard deviations of the quiet part above it, and this many newtons at least. */
const onset = { sds: 5, leastN: 2, staysSeconds: 0.1 } as const;
/** What a clean onset asks for: quiet before, a quiet baseline, and a rise worth the name. */
const clean = { beforeSeconds: 0.2, sdOfPeak: 0.02, riseOfPeak: 0.05 } as const;

/**
 * A force trace read: the quiet part taken off, smoothed without delay, its onset, peak, best second and early rise.
 *
 * @param input samples a second (100–2000), force in newtons for two seconds at least, the first half second quiet
 * @returns newtons and seconds, unrounded; or why there is no onset
 * Source: onset at five standard deviations, rise over 100 and 200 ms as in Maffiuletti 2016, recalled; the way of smoothing see lowPass.
 */
export function traceAnalysis({ sampleHz, forceN }: TraceAnalysisInput): Static<typeof TraceAnalysisOutput> {
  const samples = (seconds: number) => Math.floor(seconds * sampleHz + 0.5);
  const quiet = forceN.slice(0, samples(quietSeconds));
  const baselineN = mean(quiet);
  const baselineSdN = Math.sqrt(mean(quiet.map((force) => (force - baselineN) ** 2)));
  const force = lowPass(
    forceN.map((sample) => sample - baselineN),
    sampleHz,
  );
  const threshold = Math.max(onset.sds * baselineSdN, onset.leastN);
  const at = onsetIndex(force, samples(quietSeconds), threshold, samples(onset.staysSeconds));
  if (at === null)
    return { found: false, reason: "no onset: nothing rises above the quiet part and stays there" };
  const start = force[at] as number;
  const rise = (seconds: number) => {
    const later = force[at + samples(seconds)];
    return later === undefined ? null : later - start;
  };
  const peakN = force.reduce((most, sample) => Math.max(most, sample), -Infinity);
  const riseTo200N = rise(0.2);
  const before = force.slice(at - samples(clean.beforeSeconds), at);
  return {
    found: true,
    baselineN,
    baselineSdN,
    onsetSeconds: at / sampleHz,
    peakN,
    bestSecondMeanN: bestMean(force, samples(1)),
    riseTo100N: rise(0.1),
    riseTo200N,
    cleanOnset:
      before.every((sample) => Math.abs(sample) <= threshold) &&
      baselineSdN <= clean.sdOfPeak * peakN &&
      riseTo200N !== null &&
      riseTo200N >= clean.riseOfPeak * peakN,
  };
}

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

/** The first sample above a threshold that stays above it with those after it, all within the trace. */
function onsetIndex(force: readonly number[], from: number, threshold: number, stays: number): number | null {
  let run = 0;
  for (let n = from; n < force.length; n += 1) {
    run = (force[n] as number) > threshold ? run + 1 : 0;
    if (run === stays + 1) return n - stays;
  }
  return null;
}

/** The highest mean of so many samples in a row. */
function bestMean(force: readonly number[], count: number): number {
  let sum = force.slice(0, count).reduce((total, sample) => total + sample, 0);
  let best = sum;
  for (let n = count; n < force.length; n += 1) {
    sum += (force[n] as number) - (force[n - count] as number);
    if (sum > best) best = sum;
  }
  return best / count;
}
