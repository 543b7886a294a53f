import type { DayJudgement } from "~/core/response/judge-day";
import { daysBetween } from "~/core/schedule/local-day";
import { absentFromDays } from "./absence";
import { dayQualifies, isPoor } from "./qualifying-day";
import type { RecordView } from "~/core/decision/record/record-view";

export interface QualifyingRun {
  /** Qualifying training days in a row, counted back from the latest closed one. */
  readonly have: number;
  readonly days: readonly DayJudgement[];
  /** True when days in the hold band were let count by the monitored school's longer rule. */
  readonly byHoldBand: boolean;
}

const holdBandDaysNeeded = 4;
const holdBandSpanDays = 10;
const unreportedThatBreak = 2;

/**
 * The run of qualifying closed days at the present prescription. One unreported day in it neither counts nor
 * breaks it; two do, a poor one does, and so do eight days away.
 * Under the monitored school days in the hold band qualify too once there are four over at least ten days, all
 * next days fine and the mean not rising (later half against earlier half).
 * Source: the 2-for-2 rule (NSCA, recalled) for counting days in a row; the rest common practice.
 */
export function qualifyingRun(view: RecordView): QualifyingRun {
  const closed = view.days.filter((day) => day.state !== "open");
  const plain = backwards(closed, (day) => dayQualifies(day, { withHoldBand: false }));
  if (view.input.school !== "monitored") return { have: plain.length, days: plain, byHoldBand: false };
  const extended = backwards(closed, (day) => dayQualifies(day, { withHoldBand: true }));
  const counts =
    extended.length >= holdBandDaysNeeded && spans(extended) >= holdBandSpanDays && !isRising(extended);
  return counts && extended.length > plain.length
    ? { have: extended.length, days: extended, byHoldBand: true }
    : { have: plain.length, days: plain, byHoldBand: false };
}

function backwards(closed: readonly DayJudgement[], counts: (day: DayJudgement) => boolean): DayJudgement[] {
  const run: DayJudgement[] = [];
  let unreported = 0;
  let next: DayJudgement | undefined;
  for (const day of [...closed].reverse()) {
    if (next && daysBetween(day.date, next.date) >= absentFromDays) break;
    next = day;
    if (day.state === "unreported") {
      unreported += 1;
      if (unreported >= unreportedThatBreak || isPoor(day)) break;
    } else if (counts(day)) run.unshift(day);
    else break;
  }
  return run;
}

function spans(days: readonly DayJudgement[]): number {
  const [first, last] = [days[0], days.at(-1)];
  return first && last ? daysBetween(first.date, last.date) : 0;
}

/** Mean pain of the later half above that of the earlier half; the middle day of an odd number is left out. */
function isRising(days: readonly DayJudgement[]): boolean {
  const half = Math.floor(days.length / 2);
  const mean = (part: readonly DayJudgement[]) =>
    part.reduce((sum, day) => sum + day.painDuring, 0) / Math.max(1, part.length);
  return mean(days.slice(-half)) > mean(days.slice(0, half));
}
