import {
  cellRules,
  hardRules,
  isMore,
  mostSpringDays,
  placeOfSum,
  summed,
  summedOver,
  sumRules,
  type HardRule,
} from "./hard-rules";
import { closeHeavy } from "./heavy-days";
import type { Cell, LaidWeek } from "./laid-week";
import { closeSprings, springDates } from "./spring-days";

/** A hard rule that is broken: where, and by what. */
export interface Breach {
  readonly rule: HardRule;
  readonly item?: number;
  readonly day?: number;
  /** The work that takes part in it. */
  readonly by: readonly Cell[];
  /** How much there is, of how much at most, where the rule is a sum. */
  readonly sum?: { readonly is: number; readonly most: number };
}

/** Every hard rule that a week breaks, done work included; a date is told once for each rule and item. */
export function hardBreaches(week: LaidWeek): Breach[] {
  const cells = week.items.flatMap((_, item) => week.daysOf(item).map((day) => ({ item, day })));
  const found: Breach[] = [
    ...cellRules.flatMap(({ code, forbids }) =>
      cells
        .filter((cell) => forbids(week, cell))
        .map((cell): Breach => ({ rule: code, ...cell, by: [cell] })),
    ),
    ...sumRules.flatMap((rule) =>
      summedOver(week, rule).flatMap((index): Breach[] => {
        const by = summed(week, rule, index);
        const sum = { is: by.reduce((total, { amount }) => total + amount, 0), most: rule.most(week, index) };
        return isMore(sum.is, sum.most) ? [{ rule: rule.code, ...placeOfSum(rule, index), by, sum }] : [];
      }),
    ),
    ...gaps("spring-gap", closeSprings(week)),
    ...gaps("heavy-gap", closeHeavy(week)),
    ...tooManySprings(week),
    ...brokenLocks(week),
  ];
  const place = ({ rule, day = -1, item = -1 }: Breach) =>
    (hardRules.indexOf(rule) * 10 + day + 1) * 1000 + item;
  return found.sort((a, b) => place(a) - place(b));
}

interface Close {
  readonly day: number;
  readonly pair: readonly [{ readonly cells: readonly Cell[] }, { readonly cells: readonly Cell[] }];
}

function gaps(rule: HardRule, close: readonly Close[]): Breach[] {
  return [...new Set(close.map(({ day }) => day))].map((day) => ({
    rule,
    day,
    by: close
      .filter((one) => one.day === day)
      .flatMap(({ pair: [a, b] }) => [...a.cells, ...b.cells])
      .filter((cell, n, all) => all.findIndex((other) => sameCell(other, cell)) === n),
  }));
}

function tooManySprings(week: LaidWeek): Breach[] {
  const own = springDates(week).filter(({ day }) => day !== null);
  if (own.length <= mostSpringDays) return [];
  return [
    {
      rule: "spring-days",
      by: own.flatMap(({ cells }) => cells),
      sum: { is: own.length, most: mostSpringDays },
    },
  ];
}

/** A lock that says otherwise than what stands there. */
function brokenLocks(week: LaidWeek): Breach[] {
  const broken = (week.question.locks ?? []).flatMap(({ item: id, date, on }): Breach[] => {
    const cell = {
      item: week.items.findIndex((item) => item.id === id),
      day: week.days.findIndex((day) => day.date === date),
    };
    return week.on(cell.item, cell.day) === on ? [] : [{ rule: "lock", ...cell, by: [cell] }];
  });
  return broken.filter((breach, n) => broken.findIndex((other) => sameCell(other, breach)) === n);
}

const sameCell = (a: Partial<Cell>, b: Partial<Cell>) => a.item === b.item && a.day === b.day;
