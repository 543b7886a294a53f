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
 * Under the monitored school days in the hold band count too, once the latest of them, four at least, lie ten dates apart or
 * more, all next days are fine and the mean of the last two is not above that of the first two.
 * Source: the 2-for-2 rule (NSCA, recalled) for counting days in a row; the rest common practice.
 */
export function qualifyingRun(view: RecordView): QualifyingRun {
  const closed = view.days.filter((day) => day.state !== "open");
  const plain = backwards(closed, (day) => dayQualifies(day, { withHoldBand: false }));
  // Nothing is left for the longer rule to let count.
  const isWhole = plain.length === closed.length;
  if (view.input.school !== "monitored" || isWhole)
    return { have: plain.length, days: plain, byHoldBand: false };
  const extended = backwards(closed, (day) => dayQualifies(day, { withHoldBand: true }));
  const long = longEnough(extended);
  return long && extended.length > plain.length && !isRising(long)
    ? { have: long.length, days: long, byHoldBand: true }
    : { have: plain.length, days: plain, byHoldBand: false };
}

/** The fewest latest days of a run that are four and lie ten dates apart; null where it is shorter. */
function longEnough(run: readonly DayJudgement[]): readonly DayJudgement[] | null {
  for (let from = run.length - holdBandDaysNeeded; from >= 0; from -= 1) {
    const latest = run.slice(from);
    if (spans(latest) >= holdBandSpanDays) return latest;
  }
  return null;
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

/** Dates from the first of some days to the last. */
export function spans(days: readonly DayJudgement[]): number {
  const [first, last] = [days[0], days.at(-1)];
  return first && last ? daysBetween(first.date, last.date) : 0;
}

/** Mean pain during of a run's first two days and of its last two. */
export function endMeans(days: readonly DayJudgement[]): { readonly first: number; readonly last: number } {
  const mean = (part: readonly DayJudgement[]) =>
    part.reduce((sum, day) => sum + day.painDuring, 0) / Math.max(1, part.length);
  return { first: mean(days.slice(0, 2)), last: mean(days.slice(-2)) };
}

function isRising(days: readonly DayJudgement[]): boolean {
  const { first, last } = endMeans(days);
  return last > first;
}
