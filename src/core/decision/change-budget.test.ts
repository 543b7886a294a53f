import { expect, it } from "vitest";
import { changeBudget } from "./change-budget";
import type { SignedChange } from "~/core/decision/record/decide-input";

const up = (at: string): SignedChange => ({ at, direction: "harder" });
const week = { today: "2026-03-10", zone: "Europe/Vienna", careful: false };

it.each([
  ["nothing signed", [], 0],
  ["one item twice counts once", [[up("2026-03-06T08:00:00Z"), up("2026-03-09T08:00:00Z")]], 1],
  ["two items", [[up("2026-03-06T08:00:00Z")], [up("2026-03-09T08:00:00Z")]], 2],
  ["easier is not counted", [[{ at: "2026-03-09T08:00:00Z", direction: "easier" } as const]], 0],
  // The week of seven days begins on 4 March; in Vienna that is 23:00 UTC of the day before.
  ["its first minute counts", [[up("2026-03-03T23:00:00Z")]], 1],
  ["the minute before does not", [[up("2026-03-03T22:59:00Z")]], 0],
  ["nor does tomorrow", [[up("2026-03-10T23:00:00Z")]], 0],
])("%s", (_what, changes, used) => {
  expect(changeBudget(changes, week)).toEqual({ used, limit: 4 });
});

it("the first stage has half as many", () => {
  expect(changeBudget([], { ...week, careful: true }).limit).toBe(2);
});
