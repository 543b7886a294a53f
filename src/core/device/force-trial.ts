import type { Static } from "@sinclair/typebox";
import { lowPass } from "~/core/measure/low-pass";
import { traceAnalysis, type TraceAnalysisOutput } from "~/core/measure/trace-analysis";

/** Why a trial should be repeated. */
export const trialFaults = [
  "too-short",
  "lost-samples",
  "no-onset",
  "unclean-onset",
  "slipped",
  "double-peak",
  "saturated",
  "cut-off",
] as const;
export type TrialFault = (typeof trialFaults)[number];

/** A trial as a device told it. */
export interface TakenTrace {
  readonly sampleHz: number;
  /** In the device's unit. */
  readonly values: readonly number[];
  /** The most that the device can tell. */
  readonly most?: number | undefined;
  /** Samples that the device sent and that did not come. */
  readonly lost?: number | undefined;
}

export interface ForceTrial {
  readonly analysis: Static<typeof TraceAnalysisOutput> | null;
  /** The most above the quiet part; null where there is none. */
  readonly peak: number | null;
  /** Why it should be repeated, the gravest first. */
  readonly faults: readonly TrialFault[];
}

const leastSeconds = 2;
/** A fall below what was reached before and after it, as a share of the peak. */
const dips = { before: 0.05, slipped: 0.3, doublePeak: 0.1 } as const;
/** As long at the same highest value is a device that cannot tell more. */
const flatSeconds = 0.1;
/** Who still pulls in the last of a trace was not at its end. */
const endSeconds = 0.1;

/**
 * One trial of a force or a pressure, read: its most, and whether it can be used.
 *
 * @param trace at 100 samples a second or more
 * @returns faults: shorter than two seconds, samples lost, no onset, one that is not clean, a grip that slipped (a fall of 30 % of
 *   the peak and back), two peaks (10 %), the device's end reached, or ended while somebody still pulled
 * Source: onset see traceAnalysis; what a dip makes of a trial: common practice.
 */
export function forceTrial({ sampleHz, values, most, lost = 0 }: TakenTrace): ForceTrial {
  if (values.length < leastSeconds * sampleHz) return { analysis: null, peak: null, faults: ["too-short"] };
  const analysis = traceAnalysis({ sampleHz, forceN: [...values] });
  if (!analysis.found) return { analysis, peak: null, faults: ["no-onset"] };
  const { baselineN, peakN, onsetSeconds } = analysis;
  const force = lowPass(
    values.map((value) => value - baselineN),
    sampleHz,
  ).slice(Math.round(onsetSeconds * sampleHz));
  const risen = force.findIndex((value) => value >= peakN / 2);
  const dip = deepestDip(force.slice(risen)) / peakN;
  const before = deepestDip(force.slice(0, risen)) / peakN;
  const isClean = analysis.cleanOnset && before < dips.before;
  const faults: TrialFault[] = [
    ...(lost > 0 ? (["lost-samples"] as const) : []),
    ...(isFlat(values, sampleHz, most) ? (["saturated"] as const) : []),
    ...(dip >= dips.slipped
      ? (["slipped"] as const)
      : dip >= dips.doublePeak
        ? (["double-peak"] as const)
        : []),
    ...(isClean ? [] : (["unclean-onset"] as const)),
    ...(isHeld(force.slice(-Math.round(endSeconds * sampleHz)), peakN / 2) ? (["cut-off"] as const) : []),
  ];
  return { analysis, peak: peakN, faults };
}

const isHeld = (end: readonly number[], most: number) =>
  end.reduce((sum, value) => sum + value, 0) > most * end.length;

/** How far a signal falls below the lower of what it reached before and what it reaches after. */
function deepestDip(force: readonly number[]): number {
  const after: number[] = [];
  let highest = -Infinity;
  for (let n = force.length - 1; n >= 0; n -= 1) after[n] = highest = Math.max(highest, force[n] as number);
  let [before, deepest] = [-Infinity, 0];
  force.forEach((value, n) => {
    before = Math.max(before, value);
    deepest = Math.max(deepest, Math.min(before, after[n] as number) - value);
  });
  return deepest;
}

/** Whether it stays at one highest value: the device's most, or wherever it ends by itself. */
function isFlat(values: readonly number[], sampleHz: number, most: number | undefined): boolean {
  const top = values.reduce((high, value) => Math.max(high, value), -Infinity);
  if (most !== undefined && top < most) return false;
  const needed = Math.floor(flatSeconds * sampleHz + 0.5);
  let run = 0;
  return values.some((value) => {
    run = value === top ? run + 1 : 0;
    return run >= needed;
  });
}
