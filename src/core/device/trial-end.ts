import type { TrialGoal } from "./taken-by";

/** Longer than any trial of its kind, seconds. */
export const longestTrial: Readonly<Record<TrialGoal, number>> = {
  force: 15,
  pressure: 15,
  jump: 15,
  rebound: 15,
  hops: 45,
};

/** Pulled, and let go: below this share of the most, for so long. */
const letGo = { share: 0.15, seconds: 0.4 } as const;
/** A pull that deserves the name, above where it began. */
const leastPull = 8;
/** After the last landing somebody stands. */
const standsSeconds = 0.8;
const hopsSeconds = 30;
const quietSeconds = 0.5;

/**
 * Whether a trial is over: the pull let go, the jump landed, thirty seconds of hops done, or longer than any.
 *
 * @param samples since its beginning, in the device's unit
 * @example trialIsOver("jump", [1, 1, 1], 1) // false
 * Source: common practice.
 */
export function trialIsOver(goal: TrialGoal, samples: readonly number[], sampleHz: number): boolean {
  if (samples.length >= longestTrial[goal] * sampleHz) return true;
  return goal === "force" || goal === "pressure"
    ? isLetGo(samples, sampleHz)
    : isLanded(goal, samples, sampleHz);
}

function isLetGo(samples: readonly number[], sampleHz: number): boolean {
  const quiet = samples.slice(0, Math.round(quietSeconds * sampleHz));
  const begins = quiet.reduce((sum, sample) => sum + sample, 0) / Math.max(1, quiet.length);
  const most = samples.reduce((high, sample) => Math.max(high, sample), -Infinity) - begins;
  if (most < leastPull) return false;
  const last = samples.slice(-Math.round(letGo.seconds * sampleHz));
  return last.every((sample) => sample - begins < letGo.share * most);
}

function isLanded(goal: TrialGoal, on: readonly number[], sampleHz: number): boolean {
  const steps = on.flatMap((sample, n) => (n > 0 && sample !== on[n - 1] ? [{ n, on: sample > 0.5 }] : []));
  const takeOff = steps.find((step) => !step.on);
  if (!takeOff) return false;
  if (goal === "hops" && on.length - takeOff.n >= (hopsSeconds + standsSeconds) * sampleHz) return true;
  const last = steps.at(-1);
  const landings = steps.filter((step) => step.on && step.n > takeOff.n).length;
  const wanted = goal === "rebound" && (on[0] ?? 0) > 0.5 ? 2 : 1;
  const stands = goal === "hops" ? 2 * standsSeconds : standsSeconds;
  return last !== undefined && last.on && landings >= wanted && on.length - last.n >= stands * sampleHz;
}
