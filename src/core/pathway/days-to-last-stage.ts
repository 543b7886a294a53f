import { daysBetween } from "~/core/schedule/local-day";
import { stageOf, type Pathway } from "./pathway";

export interface Standing {
  readonly stage: string;
  /** Local dates: when the stage was entered, what minimum times count from, and today. */
  readonly enteredOn: string;
  readonly countedFrom: string;
  readonly today: string;
}

/**
 * Days from today until the minimum times of every gate still ahead could have passed, at the earliest; criteria may take
 * longer. The gate of a stage before an operation does not count towards what comes after it.
 *
 * @returns whole days; 0 in the last stage
 */
export function daysToLastStage(
  pathway: Pathway,
  { stage, enteredOn, countedFrom, today }: Standing,
): number {
  const at = pathway.stages.indexOf(stageOf(pathway, stage));
  const spent = daysBetween(enteredOn, today);
  const since = daysBetween(countedFrom, today);
  let day = 0;
  for (const [n, { gate }] of pathway.stages.slice(at).entries()) {
    if (!gate) break;
    const inStage = n === 0 ? gate.minimumDaysInStage - spent : gate.minimumDaysInStage;
    day = Math.max(day + Math.max(0, inStage), gate.minimumDaysSinceOnset - since);
  }
  return Math.max(0, day);
}
