import { describe, expect, it } from "vitest";
import { judgeWeek } from "~/core/week/judge-week";
import { planWeek, type PlanWeekInput, type PlanWeekOutput } from "~/core/week/plan-week";
import { tools } from "~/server/solve/tools";
import { paths } from "~tests/builders/calculated";
import { dates, randomWeek } from "~tests/builders/weeks";

const plan = (input: PlanWeekInput) => planWeek(input, tools.solver, tools.now);
type Week = Extract<PlanWeekOutput, { cost: number }>;

describe("what cannot hold together", () => {
  const base: PlanWeekInput = {
    days: dates.map((date, n) => ({
      date,
      minutes: n === 1 ? 15 : 60,
      places: [{ place: "home", kit: [] }],
      ...(n === 4 ? { match: true } : {}),
    })),
    items: [
      { id: "plank", minutes: 10, minDays: 3, maxDays: 3, lanes: ["trunk"], kit: [] },
      { id: "squat", minutes: 12, minDays: 2, maxDays: 2, lanes: ["knee"], kit: [], heavyLegs: true },
      {
        id: "hop",
        minutes: 8,
        minDays: 2,
        maxDays: 3,
        lanes: ["spring"],
        kit: [],
        spring: { contacts: 60, advanced: false },
      },
      {
        id: "bound",
        minutes: 8,
        minDays: 1,
        maxDays: 3,
        lanes: ["spring"],
        kit: [],
        spring: { contacts: 60, advanced: true },
      },
      { id: "press", minutes: 8, minDays: 1, maxDays: 2, lanes: ["knee"], kit: ["machine"] },
    ],
    stageLanes: ["trunk", "knee"],
  };
  const on = (item: string, day: number) => ({ item, date: dates[day] ?? "", on: true });
  const off = (item: string, day: number) => ({ ...on(item, day), on: false });
  const clash = async (over: Partial<PlanWeekInput>) => {
    const found = await plan({ ...base, ...over });
    return "conflict" in found
      ? found.conflict.map(({ rule, item, date }) => [rule, item, date].filter(Boolean).join(" ")).sort()
      : null;
  };
  const d = dates;
  it.each<[string, Partial<PlanWeekInput>, string[]]>([
    [
      "a lock against what was done",
      { done: [{ item: "plank", date: d[0] ?? "" }], locks: [off("plank", 0)] },
      [`done plank ${d[0]}`, `lock plank ${d[0]}`],
    ],
    [
      "both locks on one pair",
      { locks: [on("plank", 2), off("plank", 2)] },
      [`lock plank ${d[2]}`, `lock plank ${d[2]}`],
    ],
    ["kit that no place has", { locks: [on("press", 0)] }, [`kit press ${d[0]}`, `lock press ${d[0]}`]],
    [
      "heavy on the day before a match",
      { locks: [on("squat", 3)] },
      [`lock squat ${d[3]}`, `match squat ${d[3]}`],
    ],
    [
      "more than the day has",
      { locks: [on("plank", 1), on("squat", 1)] },
      [`lock plank ${d[1]}`, `lock squat ${d[1]}`, `minutes ${d[1]}`],
    ],
    [
      "more days than at most",
      { locks: [on("squat", 0), on("squat", 2), on("squat", 6)] },
      [`lock squat ${d[0]}`, `lock squat ${d[2]}`, `lock squat ${d[6]}`, "max-days squat"],
    ],
    [
      "springs on days in a row",
      { locks: [on("hop", 0), on("hop", 1)] },
      [`lock hop ${d[0]}`, `lock hop ${d[1]}`, `spring-gap ${d[1]}`],
    ],
    [
      "an advanced one two days after",
      { locks: [on("hop", 0), on("bound", 2)] },
      [`lock bound ${d[2]}`, `lock hop ${d[0]}`, `spring-gap ${d[2]}`],
    ],
    [
      "a spring right after last week's",
      { locks: [on("hop", 0)], heldOver: { springDates: ["2026-03-08"], sprintDates: [], matchDates: [] } },
      [`lock hop ${d[0]}`, `spring-gap ${d[0]}`],
    ],
    [
      "more contacts than a day takes",
      { locks: [on("hop", 0), on("bound", 0)] },
      [`contacts ${d[0]}`, `lock bound ${d[0]}`, `lock hop ${d[0]}`],
    ],
    [
      "a lock that joins a day that done work filled",
      { done: [{ item: "plank", date: d[1] ?? "" }], locks: [on("hop", 1)] },
      [`done plank ${d[1]}`, `lock hop ${d[1]}`, `minutes ${d[1]}`],
    ],
  ])("%s", async (_name, over, expected) => {
    expect(await clash(over)).toEqual(expected.sort());
  });

  it("nothing fixed clashes: what no day can take is left out and said", async () => {
    const found = (await plan(base)) as Week;
    expect(found.placed.some(({ item }) => item === "press")).toBe(false);
    expect(found.soft.find(({ rule, item }) => rule === "min-days" && item === "press")).toMatchObject({
      amount: 1,
      words: "press not at all instead of once: no day has what it needs",
    });
  });

  it("work that was done may break a rule; the week goes on around it", async () => {
    const done = [0, 1, 2, 3].map((day) => ({ item: "hop", date: d[day] ?? "" }));
    const found = (await plan({ ...base, done })) as Week;
    expect(found.placed.filter(({ item }) => item === "hop")).toHaveLength(4);
    expect(found.placed.filter(({ item }) => item === "bound")).toEqual([]);
    expect(judgeWeek({ ...base, done, placed: [] }).hard.map(({ rule }) => rule)).toContain("spring-days");
  });
});

describe("a day in its order, a shortage in words", () => {
  const day = (items: PlanWeekInput["items"], minutes: number): PlanWeekInput => ({
    days: dates.map((date, n) => ({
      date,
      minutes: n === 1 ? minutes : 0,
      places: [{ place: "home", kit: [] }],
    })),
    items,
    stageLanes: [],
  });
  const item = (id: string, over: object = {}) => ({
    id,
    minutes: 5,
    minDays: 1,
    maxDays: 1,
    lanes: [],
    kit: [],
    ...over,
  });

  it("by phase; without one springs, then what is heavy, then the rest; equals as they are listed", async () => {
    const found = (await plan(
      day(
        [
          item("stretch", { phase: "stretch" }),
          item("rest"),
          item("lunge", { heavyLegs: true }),
          item("hop", { spring: { contacts: 20, advanced: false } }),
          item("set", { phase: "activation" }),
          item("also rest"),
          item("balance", { phase: "control" }),
        ],
        60,
      ),
    )) as Week;
    expect(found.order[1]?.items).toEqual(["set", "balance", "hop", "lunge", "rest", "also rest", "stretch"]);
    expect(found.minutes[1]).toEqual({ date: dates[1], minutes: 35, contacts: 20 });
  });

  it("names the day that is too short", async () => {
    const found = (await plan(
      day([item("plank", { minutes: 9, minDays: 1 }), item("bridge", { minutes: 9, minDays: 1 })], 15),
    )) as Week;
    expect(found.soft.map(({ words }) => words)).toEqual([
      "plank not at all instead of once: Tuesday has 15 minutes",
    ]);
  });

  it("time that ends leaves the best so far, and says that it is not proven", async () => {
    const week = randomWeek(4_242, { items: 14, days: 7, fixed: false });
    let calls = 0;
    // A clock that jumps past the limit once the first answer is there.
    const late = () => (calls += 1) * 60_000;
    const found = (await planWeek({ ...week, secondsLimit: 60 }, tools.solver, late)) as Week;
    expect(found.optimal).toBe(false);
    const { secondsLimit: _limit, ...question } = { ...week, secondsLimit: 1 };
    expect(judgeWeek({ ...question, placed: found.placed }).hard).toEqual([]);
  });
});

describe("what is refused", () => {
  const week = randomWeek(1, { items: 2, days: 3, fixed: false });
  const [first] = week.items;
  it.each<[string, object, string]>([
    [
      "days that do not follow",
      { days: week.days.map((day, n) => (n === 3 ? { ...day, date: "2026-04-01" } : day)) },
      "/days/3/date",
    ],
    ["six days", { days: week.days.slice(1) }, "/days"],
    ["an unknown item", { placed: [{ item: "nobody", date: dates[0] }] }, "/placed/0/item"],
    ["a date outside", { placed: [{ item: first?.id, date: "2026-05-01" }] }, "/placed/0/date"],
    [
      "a pair twice",
      {
        placed: [
          { item: first?.id, date: dates[0] },
          { item: first?.id, date: dates[0] },
        ],
      },
      "/placed/1",
    ],
    ["fewer at most than at least", { items: [{ ...first, minDays: 3, maxDays: 2 }] }, "/items/0/minDays"],
    [
      "an advanced spring that is none",
      { heldOver: { springDates: [], advancedSpringDates: ["2026-03-08"], sprintDates: [], matchDates: [] } },
      "/heldOver/advancedSpringDates/0",
    ],
    [
      "minutes in fractions",
      { days: week.days.map((day) => ({ ...day, minutes: 10.5 })) },
      "/days/0/minutes",
    ],
  ])("%s", (_name, over, path) => {
    const { previous: _previous, heldOver: _held, ...rest } = week;
    expect(paths("judge-week", { ...rest, placed: [], ...over })).toContain(path);
  });
});
