import { expect, it } from "vitest";
import type { WeekView } from "~/contract/week";
import { sayWeekWords } from "~/messages/say-week";
import {
  asLastWeek,
  solvedTo,
  daySet,
  draftOfWeek,
  isLocked,
  judged,
  lockTurned,
  movedTo,
  takenOff,
  type WeekDraft,
} from "./week-draft";

const dates = Array.from({ length: 7 }, (_, n) => `2026-03-${String(9 + n).padStart(2, "0")}`);
const [monday = "", tuesday = ""] = dates;
const [clam, bridge] = ["01890a5d-ac96-774b-bcce-b302099a8057", "01890a5d-ac96-774b-bcce-b302099a8058"];
const item = (id: string) => ({ id, minutes: 10, minDays: 2, maxDays: 2, lanes: ["hip-abductors"], kit: [] });
const view = {
  question: {
    days: dates.map((date) => ({ date, minutes: 15, places: [{ place: "home", kit: [] }] })),
    items: [item(clam), item(bridge)],
    stageLanes: ["hip-abductors"],
    done: [{ item: bridge, date: monday }],
  },
  places: [{ place: "home", kit: [] }],
  placed: [{ item: clam, date: monday }],
  optimal: null,
} as unknown as WeekView;
const draft = draftOfWeek(view);
const a = { item: clam, date: monday };

it("begins with what was kept and what was done", () => {
  expect(draft.placed).toEqual([a, { item: bridge, date: monday }]);
  expect(draft.days[0]).toEqual({ date: monday, minutes: 15 });
});

it("moves from day to day, or from none; never twice onto one day; a lock goes with neither", () => {
  const locked = lockTurned(draft, a);
  expect(isLocked(locked, a)).toBe(true);
  const moved = movedTo(locked, clam, monday, tuesday);
  expect(moved.placed).toContainEqual({ item: clam, date: tuesday });
  expect(moved.placed).not.toContainEqual(a);
  expect(moved.locks).toEqual([]);
  expect(movedTo(draft, clam, null, tuesday).placed).toHaveLength(3);
  expect(movedTo(draft, clam, null, monday)).toBe(draft);
  expect(movedTo(draft, clam, monday, monday)).toBe(draft);
});

it("a lock is turned on and off; what is taken off leaves its lock behind nowhere", () => {
  const locked = lockTurned(draft, a);
  expect(lockTurned(locked, a).locks).toEqual([]);
  expect(takenOff(locked, a)).toEqual({ ...draft, placed: [{ item: bridge, date: monday }], locks: [] });
});

it("is judged at once: too much for a day breaks, a shorter day too, and words have names", () => {
  expect(judged(view, draft).hard.map(({ rule, date }) => [rule, date])).toEqual([["minutes", monday]]);
  const longer = daySet(draft, monday, { minutes: 20 });
  expect(judged(view, longer).hard).toEqual([]);
  const { soft } = judged(view, longer);
  const pieces = [
    { itemId: clam, name: "Clam" },
    { itemId: bridge, name: "Bridge" },
  ];
  expect(soft.map(({ words }) => sayWeekWords(words, pieces))).toEqual([
    "Clam once instead of twice",
    "Bridge once instead of twice",
    "Hip abductors on one day only",
  ]);
});

it("a day elsewhere is judged by the kit of that place", () => {
  const heavy = { ...item(clam), kit: ["leg-press"] };
  const places = [
    { place: "home" as const, kit: [] },
    { place: "clinic" as const, kit: ["leg-press"] },
  ];
  const week = { ...view, places, question: { ...view.question, items: [heavy, item(bridge)], done: [] } };
  const rules = (of: WeekDraft) => judged(week, of).hard.map(({ rule }) => rule);
  const begun = draftOfWeek(week);
  expect(rules(begun)).toEqual(["kit"]);
  const there = daySet(begun, monday, { where: "clinic" });
  expect(rules(there)).toEqual([]);
  const kept = {
    ...week,
    question: {
      ...week.question,
      days: week.question.days.map((day, n) => (n === 0 ? { ...day, places: places.slice(1) } : day)),
    },
  };
  expect(draftOfWeek(kept).days[0]).toEqual(there.days[0]);
});

it("the planner's rest joins what lies behind; last week comes again where nothing stands, is done or locked", () => {
  const solved = solvedTo(draft, { placed: [{ item: clam, date: tuesday }], optimal: true }, tuesday);
  expect(solved.placed).toEqual([
    { item: clam, date: tuesday },
    { item: clam, date: monday },
    { item: bridge, date: monday },
  ]);
  expect(solved.optimal).toBe(true);
  const before = [
    { item: clam, weekday: 2 },
    { item: bridge, weekday: 1 },
    { item: "01890a5d-ac96-774b-bcce-b302099a8059", weekday: 3 },
  ];
  const week = { ...view, today: monday, question: { ...view.question, previous: before } } as WeekView;
  expect(asLastWeek(week, draft).placed).toEqual([
    { item: bridge, date: monday },
    { item: clam, date: tuesday },
  ]);
  expect(asLastWeek(week, lockTurned(draft, a)).placed).toContainEqual(a);
});
