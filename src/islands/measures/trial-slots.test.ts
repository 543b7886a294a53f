import { expect, it } from "vitest";
import { startingMeasures } from "~/catalogue/measures/all";
import { packTrace } from "~/core/device/pack-trace";
import type { Measure } from "~/core/measure/measure";
import { emptyRow, toVisit } from "./entry-draft";
import { isSettled, nextSlot, rowWith, sideSoFar, slotsOf, type Slot } from "./trial-slots";

const measure = startingMeasures.find(({ code }) => code === "knee-extension-force") as Measure;
const kept = packTrace([0, 1, 2], { device: "d", unit: "N", sampleHz: 100 });
const taken = (value: number | null, faults: readonly "slipped"[] = []): Slot["taken"] => ({
  value,
  faults,
  bestSecond: null,
  rise100: null,
  rise200: null,
  kept,
});

it("goes side by side, the sound one first; a measure of both legs has no side", () => {
  expect(slotsOf(measure, "left").map(({ side }) => side)).toEqual([
    "right",
    "right",
    "right",
    "left",
    "left",
    "left",
  ]);
  expect(slotsOf(measure, "right")[0]?.side).toBe("left");
  expect(slotsOf({ sides: "none" }, "left")).toHaveLength(1);
});

it("a trial stands with its value and nothing against it, or when somebody says so; the next is the first that does not", () => {
  const slots = slotsOf(measure, "left").map((slot, n) => ({
    ...slot,
    taken: n === 0 ? taken(300) : n === 1 ? taken(320, ["slipped"]) : n === 2 ? taken(null) : null,
  }));
  expect(slots.map(isSettled)).toEqual([true, false, false, false, false, false]);
  expect(nextSlot(slots)).toBe(1);
  expect(isSettled({ ...(slots[1] as Slot), accepted: true })).toBe(true);
  expect(isSettled({ ...(slots[2] as Slot), accepted: true })).toBe(false);
  expect(sideSoFar(slots, "right", measure)?.value).toBe(300);
  expect(sideSoFar(slots, "left", measure)).toBeNull();
});

it("what stands fills the row in its own unit and goes out with its trace, by its place among what is sent", () => {
  const slots = slotsOf(measure, "left").map((slot) =>
    slot.trial === 1 ? { ...slot, taken: taken(98.0665) } : slot,
  );
  const row = rowWith({ ...emptyRow(measure), unit: "kgf" }, slots, measure);
  expect(row.sides.left?.trials).toEqual(["", "10", ""]);
  expect(row.sides.left?.traces).toEqual([null, kept, null]);
  const draft = {
    id: "01890a5d-ac96-774b-bcce-b302099a8057",
    takenOn: "2026-03-10",
    codes: [measure.code],
    rows: { [measure.code]: { ...row, leverCm: "31,5" } },
  };
  const [left, right] = toVisit(draft, new Map([[measure.code, measure]]))?.results ?? [];
  expect(left?.traces).toEqual([expect.objectContaining({ trial: 0, data: kept.data })]);
  expect(left?.detail).toEqual({ leverM: 0.315 });
  expect(right?.traces?.[0]?.id).not.toBe(left?.traces?.[0]?.id);
  expect(toVisit(draft, new Map([[measure.code, measure]]))?.results[0]?.traces).toEqual(left?.traces);
});

it("one that was held inside a band makes the row no maximum, whatever is aimed at by the end; one that was not leaves it", () => {
  const [first, second, ...rest] = slotsOf(measure, "left") as [Slot, Slot, ...Slot[]];
  const some = (held: boolean) => [
    { ...first, taken: taken(200), held },
    { ...second, taken: taken(320) },
    ...rest,
  ];
  expect(rowWith(emptyRow(measure), some(true), measure).submaximal).toBe(true);
  expect(rowWith(emptyRow(measure), some(false), measure).submaximal).toBeUndefined();
});
