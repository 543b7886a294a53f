import { cellRules, cellsSummed, mostSpringDays, summedOver, sumRules } from "./hard-rules";
import { heavyDays, heavyMuscles, tooSoon } from "./heavy-days";
import type { Cell, LaidWeek } from "./laid-week";
import { MipBuilder, type Mip, type Term } from "./mip";
import { goodItems, hasFavourites, laneDays, softWeights, spreadUpTo, stoodBefore } from "./soft-rules";
import { springDates, tooClose } from "./spring-days";

export interface WeekModel {
  readonly mip: Mip;
  /** What is known or found of an item on a day: 1 where it stands. */
  readonly at: (item: number, day: number) => Term;
}

const one: Term = { constant: 1 };
const none: Term = { constant: 0 };

/**
 * A week as an integer program: one whole column for each item and day that is neither done nor forbidden, rows for the hard
 * rules, and for what is asked for softly columns that cost what it weighs. Built of the same rules that judge a week.
 *
 * What is done stands; a rule that done work alone breaks forbids any more work that would take part in it.
 *
 * @param week with its done work alone
 * @param forced cells that are locked on
 * @param barred whether a cell is locked off
 */
export function weekModel(
  week: LaidWeek,
  forced: readonly Cell[],
  barred: (cell: Cell) => boolean,
): WeekModel {
  const mip = new MipBuilder();
  const terms = week.items.map((_, item) =>
    week.days.map((__, day): Term => {
      const cell = { item, day };
      if (week.isDone(item, day)) return one;
      if (barred(cell) || cellRules.some(({ forbids }) => forbids(week, cell))) return none;
      const isForced = forced.some((other) => other.item === item && other.day === day);
      return mip.column(isForced ? 1 : 0, 1, 0, true);
    }),
  );
  const at = (item: number, day: number): Term => terms[item]?.[day] ?? none;
  const model = { mip, week, at };
  sums(model);
  springs(model);
  heavies(model);
  charges(model);
  return { mip: mip.done(), at };
}

interface Making {
  readonly mip: MipBuilder;
  readonly week: LaidWeek;
  readonly at: WeekModel["at"];
}

const all = (list: readonly unknown[]) => [...list.keys()];

function sums({ mip, week, at }: Making): void {
  for (const rule of sumRules) {
    for (const index of summedOver(week, rule)) {
      const most = rule.most(week, index);
      if (most === Infinity) continue;
      const counted = cellsSummed(week, rule, index)
        .map(({ item, day }) => [at(item, day), rule.amount(week, item)] as const)
        .filter(([, amount]) => amount > 0);
      const known = counted.reduce(
        (sum, [term, amount]) => sum + ("constant" in term ? term.constant * amount : 0),
        0,
      );
      // What is done may be too much already; then nothing more joins it.
      mip.atMost(counted, Math.max(most, known));
    }
  }
}

function springs({ mip, week, at }: Making): void {
  const known = springDates(week);
  const isSpring = (item: number, advanced: boolean) => {
    const spring = week.items[item]?.spring;
    return spring !== undefined && (!advanced || spring.advanced);
  };
  /** Whether any work that is not done makes a day a spring day, or an advanced one. */
  const added = (day: number, advanced: boolean): Term => {
    const cells = all(week.items).flatMap((item) => {
      const term = at(item, day);
      return isSpring(item, advanced) && "column" in term ? [term] : [];
    });
    return markOf(mip, cells);
  };
  const days = week.days.map(({ date }, day) => {
    const done = known.find((spring) => spring.day === day);
    const [spring, advanced] = [added(day, false), added(day, true)];
    return {
      date,
      added: spring,
      isDone: done !== undefined,
      spring: done ? one : spring,
      advanced: done?.advanced ? one : advanced,
    };
  });
  for (const { date, added: here, advanced } of days) {
    for (const beside of known.filter(({ day }) => day === null)) {
      if (tooClose(beside, { date, advanced: false })) mip.forbid(here);
      else if (tooClose(beside, { date, advanced: true }))
        mip.atMost(
          [
            [here, 1],
            [advanced, 1],
          ],
          1,
        );
    }
  }
  for (const a of days) {
    for (const b of days) {
      if (a === b) continue;
      if (tooClose({ date: a.date, advanced: false }, { date: b.date, advanced: false })) {
        mip.atMost(
          [
            [a.added, 1],
            [b.spring, 1],
          ],
          1,
        );
      } else if (tooClose({ date: a.date, advanced: true }, { date: b.date, advanced: false })) {
        mip.atMost(
          [
            [a.added, 1],
            [b.spring, 1],
            [a.advanced, 1],
          ],
          2,
        );
        mip.atMost(
          [
            [a.added, 1],
            [b.advanced, 1],
          ],
          1,
        );
      }
    }
  }
  const done = days.filter(({ isDone }) => isDone).length;
  if (done > mostSpringDays) days.forEach(({ added: here }) => mip.forbid(here));
  else
    mip.atMost(
      days.map(({ spring }) => [spring, 1]),
      mostSpringDays,
    );
}

/** Heavy days of one muscle keep their distance; where done work alone does not, nothing more joins it. */
function heavies({ mip, week, at }: Making): void {
  for (const muscle of heavyMuscles(week)) {
    const known = heavyDays(week, muscle);
    const days = week.days.map(({ date }, day) => {
      const cells = all(week.items).flatMap((item) => {
        const term = at(item, day);
        return week.items[item]?.heavyMuscles?.includes(muscle) && "column" in term ? [term] : [];
      });
      const isDone = known.some((heavy) => heavy.day === day);
      const added = markOf(mip, cells);
      return { date, added, heavy: isDone ? one : added };
    });
    for (const { date, added } of days)
      if (known.some((beside) => beside.day === null && tooSoon(beside, { date }))) mip.forbid(added);
    for (const a of days)
      for (const b of days)
        if (tooSoon(a, b))
          mip.atMost(
            [
              [a.added, 1],
              [b.heavy, 1],
            ],
            1,
          );
  }
}

/** 1 where any of some work stands. */
function markOf(mip: MipBuilder, cells: readonly Term[]): Term {
  if (cells.length === 0) return none;
  const mark = mip.column(0, 1);
  for (const cell of cells)
    mip.atMost(
      [
        [cell, 1],
        [mark, -1],
      ],
      0,
    );
  return mark;
}

function charges({ mip, week, at }: Making): void {
  const { items, days, question } = week;
  items.forEach(({ minDays }, item) => {
    const missing = mip.column(0, minDays, softWeights["min-days"]);
    mip.atMost([[missing, -1], ...days.map((_, day) => [at(item, day), -1] as const)], -minDays);
    if (minDays <= spreadUpTo) {
      for (const day of all(days).slice(1)) {
        const pair = [at(item, day - 1), at(item, day)] as const;
        if (pair.some((term) => "constant" in term && term.constant === 0)) continue;
        const row = mip.column(0, 1, softWeights["next-day"]);
        mip.atMost(
          [
            [pair[0], 1],
            [pair[1], 1],
            [row, -1],
          ],
          1,
        );
      }
    }
  });
  for (const lane of question.stageLanes) {
    const missing = mip.column(0, laneDays, softWeights.lane);
    const stands = days.map((_, day) => {
      const terms = items.flatMap(({ lanes }, item) => (lanes.includes(lane) ? [at(item, day)] : []));
      if (terms.some((term) => "constant" in term && term.constant === 1)) return one;
      const mark = mip.column(0, 1);
      mip.atMost([[mark, 1], ...terms.map((term) => [term, -1] as const)], 0);
      return mark;
    });
    mip.atMost([[missing, -1], ...stands.map((term) => [term, -1] as const)], -laneDays);
  }
  days.forEach((day, index) => {
    const here = items.map((_, item) => at(item, index));
    const over = mip.column(0, items.length, softWeights.eight);
    mip.atMost([...here.map((term) => [term, 1] as const), [over, -1]], goodItems);
    if (hasFavourites(week) && !day.favourite)
      here.forEach((term) => mip.charge(term, softWeights.favourite));
    if (question.previous)
      here.forEach((term, item) =>
        mip.charge(term, stoodBefore(week, item, index) ? -softWeights.changed : softWeights.changed),
      );
  });
}
