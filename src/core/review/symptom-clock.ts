import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";
import type { DayPain } from "~/core/response/weekly-mean-rise";
import { adherenceNeeded } from "~/core/response/lane-adherence";
import { addDays, daysBetween } from "~/core/schedule/local-day";

export const clockOffers = ["more-volume", "another-variant", "referral"] as const;

/** Pain that has not fallen for weeks although the work was done: for how long, from what to what, and what to try next. */
export const SymptomClock = Type.Object(
  {
    days: Type.Integer(),
    /** Mean pain during, of the week then and of the last seven days. */
    then: Type.Number(),
    now: Type.Number(),
    offer: oneOf(clockOffers),
  },
  { additionalProperties: false },
);
export type SymptomClock = Static<typeof SymptomClock>;

export interface ClockInput {
  /** Worst pain at the site of each training day. */
  readonly days: readonly DayPain[];
  /** Highest pain that the school calls 'go'. */
  readonly goMax: number;
  /** The lowest adherence of any lane, per cent; null while nothing can be asked yet. */
  readonly adherencePercent: number | null;
  /** The last reaction that is known was fine: only then is more of it offered. */
  readonly nextDayFine: boolean;
  /** Local date. */
  readonly today: string;
}

const periodDays = 21;
const weekDays = 7;
const leastDays = 2;
const mustFallBy = 1;

/**
 * 'No change in three weeks': the weekly mean has not fallen by a point for 21 days in spite of at least 70 % of the work, while
 * it lies above the go band. First more of it on another day is offered, three weeks later another variant, then referral.
 *
 * @returns null while there is nothing to say
 * @example symptomClock({ days: [], goMax: 2, adherencePercent: 90, nextDayFine: true, today: "2026-03-30" }) // null
 * Source: common practice.
 */
export function symptomClock({
  days,
  goMax,
  adherencePercent,
  nextDayFine,
  today,
}: ClockInput): SymptomClock | null {
  const now = weekMean(days, today);
  if (now === null || now <= goMax || (adherencePercent ?? 0) < adherenceNeeded) return null;
  let periods = 0;
  let then = now;
  for (;;) {
    const earlier = weekMean(days, addDays(today, -periodDays * (periods + 1)));
    if (earlier === null || now <= earlier - mustFallBy) break;
    periods += 1;
    then = earlier;
  }
  if (periods === 0) return null;
  const step = clockOffers[Math.min(periods, clockOffers.length) - 1] ?? "referral";
  const offer = step === "more-volume" && !nextDayFine ? "another-variant" : step;
  return { days: periods * periodDays, then: tenth(then), now: tenth(now), offer };
}

/** Mean of the seven days that end on a date; null with fewer than two training days. */
function weekMean(days: readonly DayPain[], last: string): number | null {
  const week = days.filter(({ date }) => {
    const ago = daysBetween(date, last);
    return ago >= 0 && ago < weekDays;
  });
  if (week.length < leastDays) return null;
  return week.reduce((sum, { pain }) => sum + pain, 0) / week.length;
}

const tenth = (value: number) => Math.round(value * 10) / 10;
