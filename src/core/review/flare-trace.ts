import type { DecideInput, FlareTrace } from "~/core/decision/record/decide-input";
import { flareSuspects, type FlareSuspect } from "~/core/decision/flare-suspects";
import { judgedDays } from "~/core/decision/record/judged-days";
import type { DayJudgement } from "~/core/response/judge-day";
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
 * The reaction that the plan stands under, and for each item whether it is traced to it: the latest known reaction of the
 * last two training days, when it lies in the ease band.
 *
 * @returns null when there is none; else what `decide` is to be told of every item
 */
export function flareTrace(
  file: CaseFile,
  days: readonly CaseDay[],
  items: readonly JudgedItem[],
): ((itemId: string) => FlareTrace) | null {
  const reactions = days.slice(-2).flatMap((day) => {
    const known = items
      .flatMap((entry) => entry.days)
      .find((d) => d.date === day.date && d.nextDay !== "unknown");
    return known ? [{ day, nextDay: known.nextDay }] : [];
  });
  const latest = reactions.at(-1);
  if (latest?.nextDay !== "ease") return null;
  const { day } = latest;
  const before = days[days.indexOf(day) - 2];
  const suspects =
    chosen(file, day.date, items) ??
    flareSuspects(
      items.map(({ item, input, days: judged }) => ({
        itemId: item.id,
        changes: input.changes,
        during: judged.find((d) => d.date === day.date)?.during ?? null,
        loadsSite: item.lane === file.pathway.siteLane,
      })),
      { from: before?.lastSessionAt ?? null, to: day.lastSessionAt },
    );
  const names = suspects
    .map(({ itemId }) => items.find(({ item }) => item.id === itemId)?.input.exercise.name ?? "")
    .join(", ");
  return (itemId) => {
    const suspect = suspects.find((s) => s.itemId === itemId);
    return suspect
      ? { suspect: true, on: day.date, why: suspect.why }
      : { suspect: false, on: day.date, names };
  };
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
