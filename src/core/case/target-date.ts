import { daysToLastStage } from "~/core/pathway/days-to-last-stage";
import { daysBetween, localDay } from "~/core/schedule/local-day";
import type { CaseFile } from "./case-file";
import { gateDates } from "./in-force";
import { moveInForce } from "./stage-in-force";

/**
 * How the minimum times still ahead stand to the day the patient wants to be ready for.
 *
 * @param targetOn local date
 * @returns whole weeks: left, rounded down, and needed at the least, rounded up
 */
export function weeksToTarget(file: CaseFile, targetOn: string): { weeksLeft: number; weeksNeeded: number } {
  const today = localDay(file.asOf, file.zone);
  const move = moveInForce(file);
  const days = daysToLastStage(file.pathway, {
    stage: move.stage,
    enteredOn: localDay(move.at, file.zone),
    countedFrom: gateDates(file).onsetOn,
    today,
  });
  return { weeksLeft: Math.floor(daysBetween(today, targetOn) / 7), weeksNeeded: Math.ceil(days / 7) };
}
