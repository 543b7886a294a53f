import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";
import { dayOrder } from "./day-order";
import { hardRules } from "./hard-rules";
import { SoftShortfall, toldShortfall } from "./judge-week";
import { laidWeek, type Cell, type LaidWeek } from "./laid-week";
import type { MipSession, OpenSolver } from "./mip";
import { costOf, shortfalls } from "./soft-rules";
import { Placed, weekFields, type WeekItem, type WeekQuestion } from "./week";
import { weekConflict, type Clash } from "./week-conflict";
import { plainWeek } from "./plain-week";
import { weekModel, type WeekModel } from "./week-model";
import { sayBreach, sayDay } from "./words";

const closed = { additionalProperties: false };

export const PlanWeekInput = Type.Object(
  { ...weekFields, secondsLimit: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 60 })) },
  closed,
);
export type PlanWeekInput = Static<typeof PlanWeekInput>;

export const ClashTold = Type.Object(
  {
    rule: oneOf([...hardRules, "done"]),
    item: Type.Optional(Type.String()),
    date: Type.Optional(Type.String()),
    words: Type.String(),
  },
  closed,
);
export const PlanWeekOutput = Type.Union([
  Type.Object(
    {
      placed: Type.Array(Placed),
      order: Type.Array(Type.Object({ date: Type.String(), items: Type.Array(Type.String()) }, closed)),
      minutes: Type.Array(
        Type.Object({ date: Type.String(), minutes: Type.Number(), contacts: Type.Number() }, closed),
      ),
      soft: Type.Array(SoftShortfall),
      cost: Type.Number(),
      optimal: Type.Boolean(),
    },
    closed,
  ),
  Type.Object({ conflict: Type.Array(ClashTold) }, closed),
]);
export type PlanWeekOutput = Static<typeof PlanWeekOutput>;

const usualSeconds = 10;
/** So many columns of a day are put into one order of weights: beyond, a solver's exactness would not tell them apart. */
const weighedAtOnce = 10;

/**
 * A week from plan, kit, days and rules: the least cost that breaks no hard rule; of equal weeks the one with the fewest placements,
 * then the one whose list of date and item comes first. When what is fixed cannot hold, the smallest set of it that clashes.
 *
 * @param open a solver for integer programs
 * @param now milliseconds of a clock that only goes on; the limit of time is kept by it
 * @returns the week, with `optimal` false where time ended before it was proven; or the clash
 * Source: common practice; spacing NSCA, recalled.
 */
export async function planWeek(
  { secondsLimit = usualSeconds, ...question }: PlanWeekInput,
  open: OpenSolver,
  now: () => number,
): Promise<PlanWeekOutput> {
  const done = laidWeek(question, []);
  const locks = { on: cellsOf(question, true), off: cellsOf(question, false) };
  const fixed = laidWeek(
    question,
    locks.on.map((cell) => placedAt(done, cell)),
  );
  const clash = weekConflict(fixed, locks);
  if (clash) return { conflict: clash.map((one) => told(fixed, one)) };
  const barred = (cell: Cell) => locks.off.some((off) => sameCell(off, cell));
  const model = weekModel(done, locks.on, barred);
  const session = await open(model.mip);
  // Waiting for a solver is not solving.
  const deadline = now() + secondsLimit * 1000;
  try {
    const { values, optimal } = await solved(session, model, done, () => (deadline - now()) / 1000);
    const list = values
      ? placements(done, model, values)
      : plainWeek(
          question,
          locks.on.map((cell) => placedAt(done, cell)),
          barred,
        );
    const week = laidWeek(question, list);
    return { ...outcome(week), optimal };
  } finally {
    await session.close();
  }
}

const sameCell = (a: Cell, b: Cell) => a.item === b.item && a.day === b.day;

function cellsOf({ items, days, locks = [] }: WeekQuestion, on: boolean): Cell[] {
  return locks
    .filter((lock) => lock.on === on)
    .map(({ item, date }) => ({
      item: items.findIndex(({ id }) => id === item),
      day: days.findIndex((day) => day.date === date),
    }))
    .filter((cell, n, all) => all.findIndex((other) => sameCell(other, cell)) === n);
}

const placedAt = ({ items, days }: LaidWeek, { item, day }: Cell): Placed => ({
  item: items[item]?.id ?? "",
  date: days[day]?.date ?? "",
});

/** Cells that the solver decides, in the order of date and item in which lists are compared. */
function decided({ items, days }: LaidWeek, { at }: WeekModel): { column: number; cell: Cell }[] {
  const byName = [...items.keys()].sort((a, b) => ((items[a]?.id ?? "") < (items[b]?.id ?? "") ? -1 : 1));
  return [...days.keys()].flatMap((day) =>
    byName.flatMap((item) => {
      const term = at(item, day);
      return "column" in term ? [{ column: term.column, cell: { item, day } }] : [];
    }),
  );
}

const isOn = (values: readonly number[], column: number) => (values[column] ?? 0) > 0.5;

function placements(week: LaidWeek, model: WeekModel, values: readonly number[]): Placed[] {
  return decided(week, model)
    .filter(({ column }) => isOn(values, column))
    .map(({ cell }) => placedAt(week, cell));
}

/** Least cost; at that cost the fewest placements; of these the first list, some columns at a time. */
async function solved(
  session: MipSession,
  model: WeekModel,
  week: LaidWeek,
  left: () => number,
): Promise<{ values: readonly number[] | null; optimal: boolean }> {
  const { columns } = model.mip;
  const choices = decided(week, model);
  const costs = columns.map(({ cost }) => cost);
  const least = await session.minimise(costs, Math.max(0.01, left()));
  if (!least.values || !least.proven) return { values: least.values, optimal: false };
  let values = least.values;
  const costOfAll = dot(costs, values);
  await session.addRow({ lower: -Infinity, upper: costOfAll + 0.5, entries: entriesOf(costs) });

  const counts = costsOn(
    columns.length,
    choices.map(({ column }) => [column, 1] as const),
  );
  if (left() <= 0) return { values, optimal: false };
  const fewest = await session.minimise(counts, left(), values);
  if (!fewest.values) return { values, optimal: false };
  values = fewest.values;
  if (!fewest.proven) return { values, optimal: false };
  await session.addRow({
    lower: -Infinity,
    upper: Math.round(dot(counts, values)) + 0.5,
    entries: entriesOf(counts),
  });

  for (let from = 0; from < choices.length; from += weighedAtOnce) {
    const some = choices.slice(from, from + weighedAtOnce);
    const weights = some.map(({ column }, n) => [column, -(2 ** (weighedAtOnce - 1 - n))] as const);
    // Nothing comes before a list that has all of these.
    if (!some.every(({ column }) => isOn(values, column))) {
      if (left() <= 0) return { values, optimal: false };
      const first = await session.minimise(costsOn(columns.length, weights), left(), values);
      if (!first.values) return { values, optimal: false };
      values = first.values;
      if (!first.proven) return { values, optimal: false };
    }
    const now = values;
    for (const { column } of some) {
      const value = isOn(now, column) ? 1 : 0;
      await session.addRow({ lower: value, upper: value, entries: [[column, 1]] });
    }
  }
  return { values, optimal: true };
}

const dot = (costs: readonly number[], values: readonly number[]) =>
  costs.reduce((sum, cost, n) => sum + cost * (values[n] ?? 0), 0);

const entriesOf = (costs: readonly number[]) =>
  costs.flatMap((cost, column): [number, number][] => (cost === 0 ? [] : [[column, cost]]));

function costsOn(count: number, some: readonly (readonly [column: number, cost: number])[]): number[] {
  const costs = Array.from({ length: count }, () => 0);
  for (const [column, cost] of some) costs[column] = cost;
  return costs;
}

function outcome(week: LaidWeek) {
  const { days, items } = week;
  const lacking = shortfalls(week);
  const onDay = days.map((_, day) => week.itemsOn(day).map((item) => items[item] as WeekItem));
  const byName = (a: WeekItem, b: WeekItem) => (a.id < b.id ? -1 : 1);
  return {
    placed: days.flatMap(({ date }, day) =>
      [...(onDay[day] ?? [])].sort(byName).map(({ id }) => ({ item: id, date })),
    ),
    order: days.map(({ date }, day) => ({ date, items: dayOrder(onDay[day] ?? []).map(({ id }) => id) })),
    minutes: days.map(({ date }, day) => ({
      date,
      minutes: (onDay[day] ?? []).reduce((sum, { minutes }) => sum + minutes, 0),
      contacts: (onDay[day] ?? []).reduce((sum, { spring }) => sum + (spring?.contacts ?? 0), 0),
    })),
    soft: lacking.map((one) => toldShortfall(week, one)),
    cost: costOf(lacking),
  };
}

function told(week: LaidWeek, { rule, item, day }: Clash): Static<typeof ClashTold> {
  const [id, date] = [week.items[item ?? -1]?.id, week.days[day ?? -1]?.date];
  const words =
    rule === "done"
      ? `${id} was done on ${sayDay(week, day)}`
      : rule === "lock"
        ? `${id} on ${sayDay(week, day)} is locked`
        : sayBreach(week, {
            rule,
            by: [],
            ...(item === undefined ? {} : { item }),
            ...(day === undefined ? {} : { day }),
          });
  return { rule, ...(id === undefined ? {} : { item: id }), ...(date === undefined ? {} : { date }), words };
}
