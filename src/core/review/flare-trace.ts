import type { DemandBook } from "~/core/demand/demand-book";
import type { DecideInput, FlareTrace } from "~/core/decision/record/decide-input";
import { flareSuspects, type FlareSuspect } from "~/core/decision/flare-suspects";
import { after } from "~/core/decision/record/record-view";
import { fineDaysThatEnd } from "~/core/decision/rules/ease-cause";
import { judgedDays } from "~/core/decision/record/judged-days";
import type { DayJudgement } from "~/core/response/judge-day";
import { regionLoad } from "~/core/exercise/region-load";
import type { CaseDay } from "~/core/case/case-days";
import type { CaseFile, CaseItem } from "~/core/case/case-file";

export interface JudgedItem {
  readonly item: CaseItem;
  readonly input: DecideInput;
  readonly days: readonly DayJudgement[];
}

/** An item's training days as judged at its present prescription. */
export function judgedItem(item: CaseItem, input: DecideInput): JudgedItem {
  return { item, input, days: judgedDays(input) };
}

/**
 * The reaction that the plan stands under, and for each item whether it is traced to it: the latest in the ease band, until
 * whoever it was traced to is answered or three fine days have followed. A later light day does not dissolve it.
 *
 * @returns null when there is none; else what `decide` is to be told of every item
 */
export function flareTrace(
  file: CaseFile,
  days: readonly CaseDay[],
  items: readonly JudgedItem[],
  book: DemandBook,
): ((itemId: string) => FlareTrace) | null {
  const day = latestReaction(days, items);
  if (!day) return null;
  const before = days[days.indexOf(day) - 2];
  const suspects =
    chosen(file, day.date, items) ??
    flareSuspects(
      items.map(({ item, input, days: judged }) => ({
        itemId: item.id,
        changes: input.changes,
        addedAt: addedTo(days, item),
        during: judged.find((d) => d.date === day.date)?.during ?? null,
        pain: judged.find((d) => d.date === day.date)?.painDuring ?? 0,
        load: regionLoad(input.exercise, file.pathway.region),
        loadsSite: item.lane === file.pathway.siteLane,
        kneecap: () =>
          file.pathway.region === "knee"
            ? (book.kneecapOf?.(input.exercise, input.prescription) ?? null)
            : null,
      })),
      { from: before?.lastSessionAt ?? null, to: day.lastSessionAt },
    );
  const suspected = items.filter(({ item }) => suspects.some(({ itemId }) => itemId === item.id));
  const answered = suspected.every(({ input: { answeredAt }, days: judged }) => {
    const known = judged.find((d) => d.date === day.date)?.reactionKnownAt;
    return answeredAt !== undefined && !!known && !after(known, answeredAt);
  });
  const names = suspects
    .map(({ itemId }) => items.find(({ item }) => item.id === itemId)?.input.exercise.name ?? "")
    .join(", ");
  return (itemId) => {
    const suspect = suspects.find((s) => s.itemId === itemId);
    return suspect
      ? { suspect: true, on: day.date, why: suspect.why }
      : { suspect: false, on: day.date, names, ...(answered ? { answered } : {}) };
  };
}

/** When an item joined a plan that had been worked at before; null for one of the first. */
function addedTo(days: readonly CaseDay[], { prescriptions: [first] }: CaseItem): string | null {
  const began = days[0]?.lastSessionAt;
  return first && began !== undefined && after(first.from, began) ? first.from : null;
}

/** The latest day that ended in a reaction, unless three fine days have followed it. */
function latestReaction(days: readonly CaseDay[], items: readonly JudgedItem[]): CaseDay | null {
  let fine = 0;
  for (const day of [...days].reverse()) {
    const known = items
      .flatMap((entry) => entry.days)
      .find((d) => d.date === day.date && d.nextDay !== "unknown");
    if (known?.nextDay === "ease") return day;
    if (known?.nextDay === "fine") fine += 1;
    if (fine >= fineDaysThatEnd) return null;
  }
  return null;
}

/** The clinician's own choice for that day, where one was made and its item was done then. */
function chosen(file: CaseFile, date: string, items: readonly JudgedItem[]): FlareSuspect[] | null {
  const choice = (file.attributions ?? [])
    .filter((a) => a.trainingDate === date && a.at <= file.asOf)
    .sort((a, b) => a.at.localeCompare(b.at))
    .at(-1);
  const done = items.some(
    ({ item, days }) => item.id === choice?.itemId && days.some((d) => d.date === date),
  );
  return choice && done ? [{ itemId: choice.itemId, why: "chosen" }] : null;
}
