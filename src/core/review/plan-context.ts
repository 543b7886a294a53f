import type { DemandBook } from "~/core/demand/demand-book";
import type { DecideInput } from "~/core/decision/record/decide-input";
import { viewRecord } from "~/core/decision/record/record-view";
import { daysAway, rebaselineAfterDays } from "~/core/decision/rules/absence";
import type { Lane } from "~/core/exercise/body";
import { countedItem } from "~/core/progression/counted-item";
import { mostContactsADay } from "~/core/progression/plan-totals";
import { weeklyMeanRise, type DayPain } from "~/core/response/weekly-mean-rise";
import { localDay } from "~/core/schedule/local-day";
import type { CaseDay } from "~/core/case/case-days";
import type { CaseFile } from "~/core/case/case-file";
import { flareTrace, type JudgedItem } from "./flare-trace";

/** What the plan as a whole bears on each item: a reaction and its suspects, the lane's adherence, the mean of the weeks. */
export function withPlan(
  file: CaseFile,
  days: readonly CaseDay[],
  items: readonly JudgedItem[],
  adherence: ReadonlyMap<Lane, number | null>,
  today: string,
  book: DemandBook,
): JudgedItem[] {
  const trace = flareTrace(file, days, items);
  const lastPain = lastPainOf(days, file.zone);
  const rise = weeklyMeanRise(dayPains(days, items), today);
  const counted = items.map(({ input }) => countedItem(input.exercise, input.prescription, book));
  const perDay = counted.map(({ spring, time }) => (spring === "none" ? 0 : time.contacts));
  const contacts = perDay.reduce((sum, n) => sum + n, 0);
  const most = mostContactsADay(counted);
  return items.map((entry, i) => {
    const percent = adherence.get(entry.item.lane) ?? null;
    const input: DecideInput = {
      ...entry.input,
      ...(trace ? { flare: trace(entry.item.id) } : {}),
      ...(lastPain ? { lastPain } : {}),
      ...(percent === null ? {} : { laneAdherencePercent: percent }),
      ...(perDay[i] ? { contacts: { elsewhere: contacts - perDay[i], most } } : {}),
      ...(rise === null ? {} : { weeklyMeanRise: rise }),
    };
    return { ...entry, input };
  });
}

/** Worst pain at the site of each training day, whatever was trained. */
export const dayPains = (days: readonly CaseDay[], items: readonly JudgedItem[]): DayPain[] =>
  days.map(({ date }) => ({
    date,
    pain: Math.max(
      0,
      ...items.flatMap((e) => e.days.filter((d) => d.date === date)).map((d) => d.painDuring),
    ),
  }));

export const lowestOf = (adherence: ReadonlyMap<Lane, number | null>): number | null => {
  const known = [...adherence.values()].filter((percent) => percent !== null);
  return known.length > 0 ? Math.min(...known) : null;
};

/** How the last day that anybody reported on was answered by the body. */
export const lastReaction = (items: readonly JudgedItem[]) =>
  items
    .flatMap(({ days }) => days)
    .filter(({ nextDay }) => nextDay !== "unknown")
    .sort((a, b) => a.date.localeCompare(b.date))
    .at(-1)?.nextDay;

/** Days since anything was done, when every item that was ever done has been away for more than four weeks. */
export function rebaselineDays(items: readonly JudgedItem[], book: DemandBook): number | null {
  const away = items
    .filter(({ days }) => days.length > 0)
    .map(({ input, days }) => daysAway(viewRecord(input, days, book)));
  const least = Math.min(...away);
  return away.length > 0 && least > rebaselineAfterDays ? least : null;
}

/** The last known pain on waking or before a session, whatever was trained. */
function lastPainOf(days: readonly CaseDay[], zone: string): DecideInput["lastPain"] {
  const last = days.at(-1);
  if (!last) return undefined;
  return last.report
    ? { pain: last.report.pain, on: localDay(last.report.receivedAt, zone) }
    : { pain: last.painBefore, on: last.date };
}
