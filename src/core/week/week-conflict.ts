import {
  cellRules,
  isMore,
  mostSpringDays,
  placeOfSum,
  summed,
  summedOver,
  sumRules,
  type HardRule,
} from "./hard-rules";
import { heavyDays, heavyMuscles, tooSoon } from "./heavy-days";
import { hardBreaches } from "./judge-hard";
import type { Cell, LaidWeek } from "./laid-week";
import { springDates, tooClose } from "./spring-days";

/** One of those that cannot hold together: a lock, work that is done, or a hard rule with where it holds. */
export interface Clash {
  readonly rule: HardRule | "done";
  readonly item?: number;
  readonly day?: number;
}

/**
 * The fewest locks, done work and hard rules of a week that cannot hold together. Only what is fixed can clash: everything else
 * can be left out.
 *
 * @param week with what is done and locked on
 * @param locks cells that are locked, on and off
 * @returns null when all that is fixed can hold
 */
export function weekConflict(
  week: LaidWeek,
  locks: { readonly on: readonly Cell[]; readonly off: readonly Cell[] },
): readonly Clash[] | null {
  const asFixed = (cell: Cell): Clash => ({
    rule: week.isDone(cell.item, cell.day) ? "done" : "lock",
    ...cell,
  });
  const opposed = locks.off.flatMap((off): Clash[][] => [
    ...(week.isDone(off.item, off.day) ? [[{ rule: "lock" as const, ...off }, asFixed(off)]] : []),
    ...(locks.on.some((on) => same(on, off))
      ? [
          [
            { rule: "lock" as const, ...off },
            { rule: "lock" as const, ...off },
          ],
        ]
      : []),
  ]);
  const isLock = ({ item, day }: Cell) => !week.isDone(item, day);
  const barred = locks.on
    .filter(isLock)
    .flatMap((cell) =>
      cellRules
        .filter(({ forbids }) => forbids(week, cell))
        .map(({ code }): Clash[] => [asFixed(cell), { rule: code, ...cell }]),
    );
  const tooMuch = sumRules.flatMap((rule) =>
    summedOver(week, rule).flatMap((index): Clash[][] => {
      const cells = [...summed(week, rule, index)].sort((a, b) => b.amount - a.amount);
      const most = rule.most(week, index);
      return fewestBeyond(cells, most, isLock).map((few) => [
        ...few.map(asFixed),
        { rule: rule.code, ...placeOfSum(rule, index) },
      ]);
    }),
  );
  const found = [
    ...opposed,
    ...barred,
    ...tooMuch,
    ...springClashes(week, isLock, asFixed),
    ...heavyClashes(week, isLock, asFixed),
  ];
  const fewest = found.sort((a, b) => a.length - b.length)[0];
  if (fewest) return fewest;
  // A rule that done work alone breaks, and a lock joins it.
  const joined = hardBreaches(week).find(
    ({ rule, by }) => rule !== "lock" && by.some(isLock) && !by.every(isLock),
  );
  return joined ? [...joined.by.map(asFixed), { rule: joined.rule, ...pick(joined) }] : null;
}

const same = (a: Cell, b: Cell) => a.item === b.item && a.day === b.day;
const pick = ({ item, day }: { readonly item?: number; readonly day?: number }) => ({
  ...(item === undefined ? {} : { item }),
  ...(day === undefined ? {} : { day }),
});

type Counted = Cell & { readonly amount: number };

/** Sets larger than this are not looked through one by one. */
const mostTried = 5;

/**
 * The fewest of some amounts, largest first, that are more than a bound with a lock among them, and no longer without any one of
 * them; none or one set.
 */
function fewestBeyond(cells: readonly Counted[], most: number, isLock: (cell: Cell) => boolean): Counted[][] {
  const lock = cells.find(isLock);
  if (!lock || !isMore(total(cells), most)) return [];
  const few: Counted[] = [lock];
  for (const cell of cells.filter((other) => other !== lock)) {
    if (isMore(total(few), most)) break;
    few.push(cell);
  }
  if (isNeeded(few, most)) return [few];
  for (let size = 1; size <= Math.min(mostTried, cells.length); size += 1) {
    const found = subsets(cells, size).find((some) => some.some(isLock) && isNeeded(some, most));
    if (found) return [found];
  }
  return [];
}

/** More than the bound, and not without any one. */
const isNeeded = (some: readonly Counted[], most: number) =>
  isMore(total(some), most) && some.every(({ amount }) => !isMore(total(some) - amount, most));

function subsets(cells: readonly Counted[], size: number): Counted[][] {
  if (size === 0) return [[]];
  return cells.flatMap((cell, n) => subsets(cells.slice(n + 1), size - 1).map((rest) => [cell, ...rest]));
}

const total = (cells: readonly Counted[]) => cells.reduce((sum, { amount }) => sum + amount, 0);

/** Two pieces of heavy work of one muscle on days in a row, or one beside a heavy day of another week. */
function heavyClashes(
  week: LaidWeek,
  isLock: (cell: Cell) => boolean,
  asFixed: (cell: Cell) => Clash,
): Clash[][] {
  return heavyMuscles(week).flatMap((muscle) => {
    const single = heavyDays(week, muscle).flatMap(({ date, day, cells }): Piece[] =>
      day === null ? [{ date, day, cell: null }] : cells.map((cell) => ({ date, day, cell })),
    );
    return single.flatMap((later, n) =>
      single.slice(0, n).flatMap((earlier): Clash[][] => {
        const cells = [earlier, later].flatMap(({ cell }) => cell ?? []);
        const day = later.day ?? earlier.day;
        if (day === null || !cells.some(isLock) || !tooSoon(earlier, later)) return [];
        return [[...cells.map(asFixed), { rule: "heavy-gap", day }]];
      }),
    );
  });
}

/** One piece of work on its date; of another week without its cell. */
interface Piece {
  readonly date: string;
  readonly day: number | null;
  readonly cell: Cell | null;
}

interface Single extends Piece {
  readonly advanced: boolean;
}

function springClashes(
  week: LaidWeek,
  isLock: (cell: Cell) => boolean,
  asFixed: (cell: Cell) => Clash,
): Clash[][] {
  const dates = springDates(week);
  /** Every single piece of spring work, as a spring date of its own. */
  const single = dates.flatMap(({ date, day, advanced, cells }): Single[] =>
    day === null
      ? [{ date, day, advanced, cell: null }]
      : cells.map((cell) => ({
          date,
          day,
          advanced: week.items[cell.item]?.spring?.advanced === true,
          cell,
        })),
  );
  const gaps = single.flatMap((later, n) =>
    single.slice(0, n).flatMap((earlier): Clash[][] => {
      const cells = [earlier, later].flatMap(({ cell }) => cell ?? []);
      const day = later.day ?? earlier.day;
      if (day === null || !cells.some(isLock) || !tooClose(earlier, later)) return [];
      return [[...cells.map(asFixed), { rule: "spring-gap", day }]];
    }),
  );
  const own = dates.filter(({ day }) => day !== null);
  if (own.length <= mostSpringDays) return gaps;
  // One piece of work a date, locked work first, and a lock among them.
  const pieces = own
    .map(({ cells }) => cells.find(isLock) ?? (cells[0] as Cell))
    .sort((a, b) => Number(isLock(b)) - Number(isLock(a)))
    .slice(0, mostSpringDays + 1);
  return pieces.some(isLock) ? [...gaps, [...pieces.map(asFixed), { rule: "spring-days" }]] : gaps;
}
