import { expect, it } from "vitest";
import { judgeWeek } from "~/core/week/judge-week";
import { planWeek } from "~/core/week/plan-week";
import { randomWeek } from "~tests/builders/weeks";

/** A solver that never finds anything before its time ends. */
const noTime = () =>
  Promise.resolve({
    minimise: () => Promise.resolve({ values: null, proven: false, bound: null }),
    addRow: () => Promise.resolve(),
    close: () => Promise.resolve(),
  });

it("where time ends before any week was found, a plain one is given: something of everything that fits", async () => {
  let given = 0;
  for (let seed = 1; seed <= 60; seed += 1) {
    const { secondsLimit: _limit, ...week } = randomWeek(seed, { items: 10, days: 7, fixed: seed % 2 === 0 });
    const found = await planWeek(week, noTime, () => 0);
    if ("conflict" in found) continue;
    given += 1;
    expect(found.optimal).toBe(false);
    const judged = judgeWeek({ ...week, placed: found.placed });
    const locked = judgeWeek({ ...week, placed: (week.locks ?? []).filter(({ on }) => on) });
    expect(judged.hard.length, `seed ${seed}`).toBeLessThanOrEqual(locked.hard.length);
    expect(found.placed.length, `seed ${seed}`).toBeGreaterThan(
      week.locks?.filter(({ on }) => on).length ?? 0,
    );
  }
  expect(given).toBeGreaterThan(25);
});
