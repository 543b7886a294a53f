import type { DayJudgement } from "~/core/response/judge-day";
import { daysBetween } from "~/core/schedule/local-day";
import { after, type RecordView } from "~/core/decision/record/record-view";
import { goodSince } from "./due-days";

/** Away for so many days is an absence (common practice). */
export const absentFromDays = 8;
/** From so many days away the absence comes before what was felt (common practice). */
export const absenceFirstFromDays = 15;
/** Beyond so many days away everything is measured again first (common practice). */
export const rebaselineAfterDays = 28;

/**
 * Local days between a training day and the next, or today: counted from a change of the prescription that lies between, or from
 * an answer that was given to the absence itself.
 *
 * @param until the later day; today when left out
 */
function gapAfter(
  day: DayJudgement,
  { prescribedOn, answeredOn, today }: RecordView,
  until: string = today,
): number {
  const toAbsence = answeredOn !== null && daysBetween(day.date, answeredOn) >= absentFromDays;
  const from = [day.date, prescribedOn, ...(toAbsence ? [answeredOn] : [])].filter((date) => date <= until);
  return daysBetween(
    from.reduce((a, b) => (b > a ? b : a), day.date),
    until,
  );
}

/** Days away that still count, and the day of the return where there was one. */
export interface Away {
  readonly days: number;
  readonly backOn: string | null;
}

/**
 * Days away that still count: since the last session; or, where somebody came back after eight days or more, the days before
 * that return, until it is answered or a full run of good days has followed. 0 without any session.
 */
export function away(view: RecordView): Away {
  const { allDays, input } = view;
  const last = allDays.at(-1);
  if (!last) return { days: 0, backOn: null };
  const now = { days: gapAfter(last, view), backOn: null };
  if (now.days >= absentFromDays) return now;
  for (let i = allDays.length - 1; i > 0; i -= 1) {
    const [before, back] = [allDays[i - 1], allDays[i]];
    if (!before || !back || !after(back.arrivedAt, input.answeredAt)) break;
    const gap = gapAfter(before, view, back.date);
    if (gap >= absentFromDays) return goodSince(view, i) ? now : { days: gap, backOn: back.date };
  }
  return now;
}

export const daysAway = (view: RecordView): number => away(view).days;
