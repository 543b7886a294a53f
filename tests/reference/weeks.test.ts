import { describe, expect, it } from "vitest";
import { judgeWeek } from "~/core/week/judge-week";
import { planWeek, type PlanWeekInput, type PlanWeekOutput } from "~/core/week/plan-week";
import { tools } from "~/server/solve/tools";
import { dates, drawn, randomWeek } from "~tests/builders/weeks";
import { bestByTrying, judgedAgain, pair } from "~tests/builders/weeks-again";

/** How many weeks are drawn: `WEEKS=5000` for the long run by hand. */
const weeks = Number(process.env["WEEKS"] ?? 300);
const plan = (input: PlanWeekInput) => planWeek(input, tools.solver, tools.now);
type Week = Extract<PlanWeekOutput, { cost: number }>;

describe("a week judged twice", () => {
  it("breaks the same rules and costs the same, however it is laid", () => {
    for (let seed = 1; seed <= 800; seed += 1) {
      const { secondsLimit: _limit, ...week } = randomWeek(seed, {
        items: 6,
        days: 7,
        fixed: seed % 2 === 0,
      });
      const next = drawn(seed + 77);
      const { done: _done, ...undone } = week;
      const placed = week.items.flatMap(({ id }) =>
        dates.filter(() => next() < 0.3).map((date) => ({ item: id, date })),
      );
      const ours = judgeWeek({ ...undone, placed });
      const again = judgedAgain(undone, placed);
      expect([...new Set(ours.hard.map(({ rule }) => rule))].sort(), `seed ${seed}`).toEqual(
        [...again.broken].sort(),
      );
      expect(ours.cost, `seed ${seed}`).toBe(again.cost);
      for (const { words } of [...ours.hard, ...ours.soft]) expect(words).not.toMatch(/undefined|NaN|^$/);
    }
  });
});

describe("a week planned", () => {
  it(`${weeks} small weeks: the very list that trying every week finds, or a clash where none can hold`, async () => {
    let clashes = 0;
    for (let seed = 1; seed <= weeks; seed += 1) {
      const open = 2 + (seed % 3);
      const week = randomWeek(seed, { items: Math.floor(9 / open), days: open, fixed: seed % 3 === 0 });
      const best = bestByTrying(week, open);
      const found = await plan(week);
      if ("conflict" in found) {
        clashes += 1;
        expect(best, `seed ${seed}`).toBeNull();
        continue;
      }
      expect(found.optimal).toBe(true);
      expect(found.cost, `seed ${seed}`).toBe(best?.cost);
      expect(found.placed.map(pair), `seed ${seed}`).toEqual(best?.list);
      expect(judgeWeek({ ...week, placed: found.placed } as never).cost).toBe(found.cost);
    }
    expect(clashes).toBeGreaterThan(weeks / 60);
    expect(clashes).toBeLessThan(weeks / 3);
  });

  it("no larger week breaks a hard rule, and its own judge gives it the same cost", async () => {
    for (let seed = 1; seed <= weeks / 10; seed += 1) {
      const week = { ...randomWeek(seed + 5_000, { items: 9, days: 7, fixed: false }), secondsLimit: 1 };
      const found = (await plan(week)) as Week;
      const { secondsLimit: _limit, ...question } = week;
      const judged = judgeWeek({ ...question, placed: found.placed });
      expect(judged.hard, `seed ${seed}`).toEqual([]);
      expect([judged.cost, judged.soft]).toEqual([found.cost, found.soft]);
      for (const { date, items } of found.order)
        expect([...items].sort()).toEqual(
          found.placed
            .filter((p) => p.date === date)
            .map(({ item }) => item)
            .sort(),
        );
    }
  });

  it("everything locked is the week as it is locked", async () => {
    for (let seed = 1; seed <= 30; seed += 1) {
      const week = randomWeek(seed + 900, { items: 5, days: 7, fixed: false });
      const found = (await plan(week)) as Week;
      const locks = week.items.flatMap(({ id }) =>
        dates.map((date) => ({
          item: id,
          date,
          on: found.placed.some((p) => pair(p) === pair({ item: id, date })),
        })),
      );
      const again = (await plan({ ...week, locks })) as Week;
      expect([again.placed, again.cost]).toEqual([found.placed, found.cost]);
    }
  });

  it("asked twice it answers the same", async () => {
    const week = randomWeek(4_242, { items: 8, days: 7, fixed: false });
    expect(await plan(week)).toEqual(await plan(week));
  });
});
