import type { WeekDayBody, WeekView } from "~/contract/week";
import { dayPlaces, type DayPlace } from "~/core/week/day-places";
import { judgeWeek, type JudgeWeekOutput } from "~/core/week/judge-week";
import { weekdayOf } from "~/core/schedule/weekday";
import type { Lock, Placed, WeekQuestion } from "~/core/week/week";

/** A week as somebody moves it about. */
export interface WeekDraft {
  readonly days: readonly WeekDayBody[];
  readonly placed: readonly Placed[];
  readonly locks: readonly Lock[];
  /** As the planner laid it: proven to be the best, or not; null once a hand has changed it. */
  readonly optimal: boolean | null;
}

export const isPair = (a: Placed, b: Placed) => a.item === b.item && a.date === b.date;

/** The week as it was read, with what was done in it. */
export function draftOfWeek({ question, placed, optimal }: WeekView): WeekDraft {
  const done = (question.done ?? []).filter((one) => !placed.some((other) => isPair(one, other)));
  return {
    days: question.days.map(({ places, spared: _spared, ...day }) => {
      const where = placeOf(places);
      return where === "home" ? day : { ...day, where };
    }),
    placed: [...placed, ...done],
    locks: question.locks ?? [],
    optimal,
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

/** The draft as the planner laid out the rest; what lies behind us stays as it was. */
export function solvedTo(
  draft: WeekDraft,
  { placed, optimal }: { readonly placed: readonly Placed[]; readonly optimal: boolean },
  today: string,
): WeekDraft {
  const behind = draft.placed.filter(
    (one) => one.date < today && !placed.some((other) => isPair(other, one)),
  );
  return { ...draft, placed: [...placed, ...behind], optimal };
}

/** The draft laid out as last week, as far as it is still to come; what is behind us, done or locked stays. */
export function asLastWeek({ question, today }: WeekView, draft: WeekDraft): WeekDraft {
  const { previous = [], items, done = [] } = question;
  const stays = draft.placed.filter(
    (one) => one.date < today || isLocked(draft, one) || done.some((other) => isPair(one, other)),
  );
  const copied = previous.flatMap(({ item, weekday }) =>
    draft.days
      .filter(({ date }) => date >= today && weekdayOf(date) === weekday)
      .map(({ date }) => ({ item, date })),
  );
  const added = copied.filter(
    (pair) => items.some(({ id }) => id === pair.item) && !stays.some((one) => isPair(one, pair)),
  );
  return { ...draft, placed: [...stays, ...added] };
}

const placeOf = (places: WeekView["question"]["days"][number]["places"]): DayPlace =>
  dayPlaces.find((place) => places.some((one) => one.place === place)) ?? "home";

/** The question of the week as the draft sets its days. */
export const questionOf = ({ question, places: known }: WeekView, { days }: WeekDraft): WeekQuestion => ({
  ...question,
  days: days.map(({ where = "home", ...day }, n) => {
    const places = known.filter(({ place }) => place === where);
    const { spared } = question.days[n] ?? {};
    return { ...day, places, ...(spared ? { spared } : {}) };
  }),
});

/** How the draft stands to the rules. */
export const judged = (week: WeekView, draft: WeekDraft): JudgeWeekOutput =>
  judgeWeek({ ...questionOf(week, draft), locks: [...draft.locks], placed: [...draft.placed] });
