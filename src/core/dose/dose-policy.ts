import type { DosePolicyName } from "./dose";

/**
 * A dose policy: how a dose moves when it goes well.
 * Figures are common practice except where a source stands beside them.
 */
export interface DosePolicy {
  readonly name: DosePolicyName;
  /** Highest rating of perceived exertion (0–10) at which a day still counts; null: no cap. */
  readonly effortCap: number | null;
  /** Days that must pass after a change before the next step up. */
  readonly settlingDays: number;
  /** Training days that must have passed at the present setting as well. */
  readonly settlingTrainingDays: number;
  /** False: the dose is never stepped up and knows no plateau; it can still be eased. */
  readonly steps: boolean;
}

export const dosePolicyList: readonly DosePolicy[] = [
  { name: "double-progression", effortCap: 8, settlingDays: 3, settlingTrainingDays: 0, steps: true },
  { name: "effort-band", effortCap: null, settlingDays: 2, settlingTrainingDays: 0, steps: true },
  { name: "hold", effortCap: 8, settlingDays: 2, settlingTrainingDays: 0, steps: true },
  { name: "scheduled", effortCap: 10, settlingDays: 0, settlingTrainingDays: 0, steps: true },
  { name: "form-failure", effortCap: null, settlingDays: 3, settlingTrainingDays: 0, steps: true },
  { name: "contacts", effortCap: 7, settlingDays: 7, settlingTrainingDays: 0, steps: true },
  { name: "running", effortCap: null, settlingDays: 3, settlingTrainingDays: 2, steps: true },
  { name: "fixed", effortCap: null, settlingDays: 0, settlingTrainingDays: 0, steps: false },
];

/** The definition behind a policy's name. */
export function dosePolicy(name: DosePolicyName): DosePolicy {
  const found = dosePolicyList.find((policy) => policy.name === name);
  if (!found) throw new RangeError(`unknown dose policy ${name}`);
  return found;
}
