import { loadJump } from "~/core/progression/load-jump";
import type { DayJudgement } from "~/core/response/judge-day";
import { after, type RecordView } from "~/core/decision/record/record-view";
import { neededRun } from "~/core/decision/record/knob-history";
import { dayQualifies } from "./qualifying-day";

/** Qualifying days in a row that this item needs for its next step. */
export function neededDays({ input, next }: RecordView): number {
  if (next.found !== "change") return neededRun([], "");
  const need = neededRun(input.changes, next.change.knob);
  return loadJump(next.change) === null ? need : Math.max(need, daysForJump);
}

/** A step of load that is more than usual asks for so many (common practice). */
const daysForJump = 3;

const isGood = (day: DayJudgement) => dayQualifies(day, { withHoldBand: false });

/** Whether a full run of good closed days stands from the i-th day on. */
export function goodSince(view: RecordView, i: number): boolean {
  return view.allDays.slice(i).filter(isGood).length >= neededDays(view);
}

/**
 * Days whose bad news is still due, the latest first: what reached the record after the last answer, and has not been followed by
 * a full run of good closed days.
 */
export function dueDays(view: RecordView): DayJudgement[] {
  const { allDays, input } = view;
  const need = neededDays(view);
  const due: DayJudgement[] = [];
  let good = 0;
  for (let i = allDays.length - 1; i >= 0 && good < need; i -= 1) {
    const day = allDays[i];
    if (!day) break;
    if (after(day.arrivedAt, input.answeredAt)) due.push(day);
    if (isGood(day)) good += 1;
  }
  return due;
}
