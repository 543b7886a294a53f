import type { Measure } from "~/core/measure/measure";
import type { DeviceKind } from "./device-message";
import { forceTrial, type TakenTrace, type TrialFault } from "./force-trial";
import { matTrial } from "./mat-trial";

/** What is done on a device for one trial of a measure. */
export type TrialGoal = "force" | "pressure" | "jump" | "rebound" | "hops";

const onMat: Readonly<Record<string, TrialGoal>> = {
  "jump-height": "jump",
  "drop-jump-index": "rebound",
  "side-hops": "hops",
};

/**
 * What a measure is taken with, where a device takes it.
 *
 * @returns null where none does
 * @example takenBy({ code: "side-hops", unit: "1", group: "spring" }) // { kind: "mat", goal: "hops" }
 */
export function takenBy({ code, unit, group }: Pick<Measure, "code" | "unit" | "group">): {
  readonly kind: DeviceKind;
  readonly goal: TrialGoal;
} | null {
  const goal = onMat[code];
  if (goal) return { kind: "mat", goal };
  if (group !== "strength") return null;
  if (unit === "N") return { kind: "dynamometer", goal: "force" };
  return unit === "mm[Hg]" ? { kind: "cuff", goal: "pressure" } : null;
}

/** Why a trial should be repeated: of a force or pressure, or of the mat. */
export type RepeatReason = TrialFault | "no-flight" | "no-rebound" | "double-landing";

/** One trial as a measure takes it. */
export interface MeasuredTrial {
  /** In the measure's unit, as it is shown; null where there is none. */
  readonly value: number | null;
  readonly faults: readonly RepeatReason[];
  /** Best mean over a second, and the rise in 100 and 200 ms: beside a force. */
  readonly bestSecond: number | null;
  readonly rise100: number | null;
  readonly rise200: number | null;
}

/**
 * One trial of a measure, out of what its device told.
 *
 * A force is the most above the quiet part. A cuff is blown up before it is squeezed, and shows that too. A double landing is no
 * jump; in thirty seconds of hops it counts as one.
 *
 * @example measuredTrial("jump", { sampleHz: 10, values: [1, 1, 0, 0, 0, 0, 1, 1] }).value // 19.6
 * Source: see forceTrial and matTrial.
 */
export function measuredTrial(goal: TrialGoal, trace: TakenTrace): MeasuredTrial {
  return goal === "force" || goal === "pressure" ? ofForce(goal, trace) : ofMat(goal, trace);
}

const rounded = (value: number, decimals: number) => Number(value.toFixed(decimals));

function ofForce(goal: TrialGoal, trace: TakenTrace): MeasuredTrial {
  const { analysis, peak, faults } = forceTrial(trace);
  if (!analysis?.found || peak === null)
    return { value: null, faults, bestSecond: null, rise100: null, rise200: null };
  const from = goal === "pressure" ? analysis.baselineN : 0;
  return {
    value: rounded(from + peak, 1),
    faults,
    bestSecond: rounded(from + analysis.bestSecondMeanN, 1),
    rise100: analysis.riseTo100N,
    rise200: analysis.riseTo200N,
  };
}

const none = { bestSecond: null, rise100: null, rise200: null } as const;

function ofMat(goal: TrialGoal, { values, sampleHz, lost = 0 }: TakenTrace): MeasuredTrial {
  const { heightCm, reactiveIndex, hopsIn30s, doubleLanding } = matTrial(values, sampleHz);
  const missing = lost > 0 ? (["lost-samples"] as const) : [];
  if (goal === "hops")
    return hopsIn30s > 0
      ? { value: hopsIn30s, faults: missing, ...none }
      : { value: null, faults: ["no-flight"], ...none };
  const value = goal === "jump" ? heightCm : reactiveIndex;
  if (value === null) return { value, faults: [heightCm === null ? "no-flight" : "no-rebound"], ...none };
  return {
    value: rounded(value, goal === "jump" ? 1 : 2),
    faults: [...missing, ...(doubleLanding ? (["double-landing"] as const) : [])],
    ...none,
  };
}
