import { describe, expect, it } from "vitest";
import type { Turn } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import { loadNotch, notch, shelfOf, statedShelf, type LoadTurn } from "./notch";

const dose: Prescription["dose"] = {
  style: "strength",
  policy: "double-progression",
  sets: 3,
  restSeconds: 60,
  daysPerWeek: 3,
};
const at = (settings: Prescription["settings"], loadKg?: number): Prescription => ({
  variantId: "v",
  settings,
  dose: { ...dose, ...(loadKg === undefined ? {} : { loadKg }) },
});
const steps: Turn = { knob: "step-height", ladder: [5, 10, 15, 20] };
/** A box is harder the lower it is. */
const boxes: Turn = { knob: "box-height", ladder: [60, 50, 45] };
const load: LoadTurn = { knob: "load", kit: "dumbbells", stepPercent: 5, incrementKg: 2, maximumKg: 40 };

describe("a ladder", () => {
  it.each([
    [steps, { "step-height": 10 }, 1, 15],
    [steps, { "step-height": 10 }, -1, 5],
    [steps, { "step-height": 20 }, 1, null],
    [steps, { "step-height": 5 }, -1, null],
    [steps, { "step-height": 12 }, 1, 15],
    [steps, { "step-height": 12 }, -1, 10],
    [steps, { "step-height": 22 }, 1, null],
    [steps, { "step-height": 22 }, -1, 20],
    [steps, { "step-height": 3 }, 1, 5],
    [steps, { "step-height": 3 }, -1, null],
    [boxes, { "box-height": 55 }, 1, 50],
    [boxes, { "box-height": 55 }, -1, 60],
    [boxes, { "box-height": 45 }, 1, null],
    [steps, {}, 1, null],
    [steps, {}, -1, null],
  ] as const)("%o from %o by %d: %s", (turn, settings, direction, expected) =>
    expect(notch(turn, at(settings), direction)).toBe(expected),
  );
});

describe("a load by its percentage, on the usual increments", () => {
  // 5 % of 20 kg is less than one increment: one is taken. Upwards never above a tenth but by the smallest step there is (ACSM 2009: 2–10 %).
  it.each([
    [20, 5, 22],
    [20, -5, 18],
    [30, 5, 32],
    [30, 10, 32],
    [38, 5, 40],
    [40, 5, null],
    [40, -20, 32],
    [10, -20, 8],
    [1, -20, 0],
    [0, -20, null],
    [0, 5, 2],
    [3, -5, 1],
  ])("%d kg by %d %%: %s", (kg, percent, expected) => expect(loadNotch(load, kg, percent)).toBe(expected));
  it("a finer increment takes as many steps as the share asks", () => {
    const fine = { ...load, incrementKg: 0.5 };
    expect([loadNotch(fine, 20, 5), loadNotch(fine, 20, 10), loadNotch(fine, 20, -20)]).toEqual([21, 22, 16]);
  });
  it("a prescription without load begins at the first increment", () => {
    expect(notch(load, at({}), 1)).toBe(2);
    expect(notch(load, at({}), -1)).toBeNull();
    expect(notch(load, at({}, 20), 1)).toBe(22);
  });
});

describe("a load on the shelf that was stated", () => {
  const shelf = { dumbbells: [5, 10, 15, 20] };
  it.each([
    [10, 5, 15],
    [15, 5, 20],
    [20, 5, null],
    [10, -20, 5],
    [12, -20, 10],
    [5, -20, 0],
    [0, -20, null],
    [0, 5, 5],
  ])("%d kg by %d %%: %s", (kg, percent, expected) =>
    expect(loadNotch(load, kg, percent, shelf)).toBe(expected),
  );
  it("within a tenth the nearest to what is wanted is taken, beyond it the smallest step", () => {
    expect(loadNotch(load, 20, 5, { dumbbells: [20.5, 21, 22, 23] })).toBe(21);
    expect(loadNotch(load, 20, 5, { dumbbells: [22, 24] })).toBe(22);
    expect(loadNotch(load, 20, 5, { dumbbells: [23, 28] })).toBe(23);
  });
  it("nothing above the exercise's own most", () =>
    expect(loadNotch({ ...load, maximumKg: 14 }, 10, 5, shelf)).toBeNull());
  it("another kit's shelf says nothing; without kit none does", () => {
    expect(loadNotch(load, 20, 5, { kettlebell: [24] })).toBe(22);
    const { kit: _none, ...bare } = load;
    expect([statedShelf(bare, shelf), shelfOf(bare, shelf)]).toEqual([undefined, []]);
    expect(shelfOf(load, shelf)).toBe(shelf.dumbbells);
    expect(shelfOf(load).length).toBeGreaterThan(5);
    expect(shelfOf({ ...load, kit: "no such kit" })).toEqual([]);
  });
});
