import type { WeekDayBody, WeekView } from "~/contract/week";
import { judgeWeek, type JudgeWeekOutput } from "~/core/week/judge-week";
import type { Lock, Placed } from "~/core/week/week";

/** A week as somebody moves it about. */
export interface WeekDraft {
  readonly days: readonly WeekDayBody[];
  readonly placed: readonly Placed[];
  readonly locks: readonly Lock[];
}

export const isPair = (a: Placed, b: Placed) => a.item === b.item && a.date === b.date;

/** The week as it was read, with what was done in it. */
export function draftOfWeek({ question, placed }: WeekView): WeekDraft {
  const done = (question.done ?? []).filter((one) => !placed.some((other) => isPair(one, other)));
  return {
    days: question.days.map(({ places: _places, ...day }) => day),
    placed: [...placed, ...done],
    locks: question.locks ?? [],
  };
}

/** The draft with an item moved from a day, or from none, to another. */
export function movedTo(draft: WeekDraft, item: string, from: string | null, to: string): WeekDraft {
  const target = { item, date: to };
  if (from === to || draft.placed.some((one) => isPair(one, target))) return draft;
  const source = from === null ? null : { item, date: from };
  const left = source ? draft.placed.filter((one) => !isPair(one, source)) : draft.placed;
  return {
    ...draft,
    placed: [...left, target],
    locks: draft.locks.filter((lock) => !isPair(lock, target) && !(source && isPair(lock, source))),
  };
}

export const takenOff = (draft: WeekDraft, pair: Placed): WeekDraft => ({
  ...draft,
  placed: draft.placed.filter((one) => !isPair(one, pair)),
  locks: draft.locks.filter((lock) => !isPair(lock, pair)),
});

export const isLocked = ({ locks }: WeekDraft, pair: Placed) =>
  locks.some((lock) => lock.on && isPair(lock, pair));

/** The draft with a placement locked on its day, or free again. */
export const lockTurned = (draft: WeekDraft, pair: Placed): WeekDraft => ({
  ...draft,
  locks: isLocked(draft, pair)
    ? draft.locks.filter((lock) => !isPair(lock, pair))
    : [...draft.locks.filter((lock) => !isPair(lock, pair)), { ...pair, on: true }],
});

/** The draft with a day set otherwise. */
export const daySet = (draft: WeekDraft, date: string, part: Partial<WeekDayBody>): WeekDraft => ({
  ...draft,
  days: draft.days.map((day) => (day.date === date ? { ...day, ...part } : day)),
});

/** How the draft stands to the rules. */
export function judged({ question }: WeekView, { days, placed, locks }: WeekDraft): JudgeWeekOutput {
  const places = question.days[0]?.places ?? [];
  return judgeWeek({
    ...question,
    days: days.map((day) => ({ ...day, places })),
    locks: [...locks],
    placed: [...placed],
  });
}
