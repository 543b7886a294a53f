import type { DemandBook } from "~/core/demand/demand-book";
import type { DecideInput } from "~/core/decision/record/decide-input";
import type { RecordView } from "~/core/decision/record/record-view";
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
  pains: readonly DayPain[],
  today: string,
  book: DemandBook,
): JudgedItem[] {
  const trace = flareTrace(file, days, items, book);
  const lastPain = lastPainOf(days, file.zone);
  const rise = weeklyMeanRise(pains, today);
  const contactsOf = planContacts(items, book);
  return items.map((entry) => {
    const percent = adherence.get(entry.item.lane) ?? null;
    const input: DecideInput = {
      ...entry.input,
      ...(trace ? { flare: trace(entry.item.id) } : {}),
      ...(lastPain ? { lastPain } : {}),
      ...(percent === null ? {} : { laneAdherencePercent: percent }),
      ...contactsOf(entry),
      ...(rise === null ? {} : { weeklyMeanRise: rise }),
    };
    return { ...entry, input };
  });
}

/** Ground contacts of the plan beside an item's own, for those that land; only what counts contacts is looked at. */
function planContacts(
  items: readonly JudgedItem[],
  book: DemandBook,
): (item: JudgedItem) => Pick<DecideInput, "contacts"> {
  const counted = new Map(
    items
      .filter(({ input }) => input.prescription.dose.contacts)
      .map((item) => [item, countedItem(item.input.exercise, item.input.prescription, book)] as const)
      .filter(([, { spring }]) => spring !== "none"),
  );
  const all = [...counted.values()];
  const most = mostContactsADay(all);
  const sum = all.reduce((contacts, { time }) => contacts + time.contacts, 0);
  return (item) => {
    const own = counted.get(item);
    return own ? { contacts: { elsewhere: sum - own.time.contacts, most } } : {};
  };
}

/** Worst pain at the site of each training day, whatever was trained. */
export function dayPains(days: readonly CaseDay[], items: readonly JudgedItem[]): DayPain[] {
  const worst = new Map<string, number>();
  for (const { date, painDuring } of items.flatMap((item) => item.days))
    worst.set(date, Math.max(worst.get(date) ?? 0, painDuring));
  return days.map(({ date }) => ({ date, pain: worst.get(date) ?? 0 }));
}

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
export function rebaselineDays(views: readonly RecordView[]): number | null {
  const away = views.filter(({ allDays }) => allDays.length > 0).map(daysAway);
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
