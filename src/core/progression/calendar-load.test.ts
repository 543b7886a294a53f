import { describe, expect, it } from "vitest";
import type { Turn } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import { calendarLoad, turnWithLoad } from "./calendar-load";
import type { LoadTurn } from "./notch";

const load: LoadTurn = { knob: "load", kit: "barbell", stepPercent: 5, incrementKg: 2.5, maximumKg: 100 };
const calendar: Turn = { knob: "repetition-maximum", ladder: [15, 12, 10, 8, 6] };

/** 40 kg fifteen times are 60 kg once; twelve times that is 42.86 kg, six times 50 kg (Epley 1985, by hand). */
describe("the load that goes with another repetition maximum", () => {
  it.each([
    [15, 12, 42.5],
    [15, 6, 50],
    [15, 15, 40],
    [6, 15, 30],
  ])("40 kg, %d to %d repetitions: %d kg", (from, to, expected) =>
    expect(calendarLoad(load, 40, { from, to })).toBe(expected),
  );
  it("rounds down to the shelf, stays where that has nothing between, and never goes beyond the most", () => {
    const shelf = { barbell: [20, 30, 40, 45, 60] };
    expect(calendarLoad(load, 40, { from: 15, to: 6 }, shelf)).toBe(45);
    expect(calendarLoad(load, 40, { from: 15, to: 12 }, shelf)).toBe(40);
    expect(calendarLoad(load, 40, { from: 6, to: 15 }, shelf)).toBe(30);
    expect(calendarLoad(load, 15, { from: 6, to: 15 }, shelf)).toBe(0);
    expect(calendarLoad({ ...load, maximumKg: 45 }, 40, { from: 15, to: 6 })).toBe(45);
  });
});

describe("a turn with its load", () => {
  const heavy = (loadKg?: number): Prescription => ({
    variantId: "v",
    settings: {},
    dose: {
      style: "heavy-slow",
      policy: "scheduled",
      sets: 4,
      reps: { bottom: 15, top: 15 },
      restSeconds: 120,
      daysPerWeek: 3,
      ...(loadKg === undefined ? {} : { loadKg }),
    },
  });
  const turned = (knob: string, to: number, loadKg?: number, turns: readonly Turn[] = [calendar, load]) =>
    turnWithLoad(turns, heavy(loadKg), knob, to);
  it("the calendar takes its load along, and says the one knob it turned", () => {
    const change = turned("repetition-maximum", 12, 40);
    expect(change).toMatchObject({ kind: "knob", knob: "repetition-maximum", from: 15, to: 12 });
    expect(change.prescription.dose).toMatchObject({ loadKg: 42.5, reps: { bottom: 12, top: 12 } });
  });
  it.each([
    ["another knob leaves the load", turned("sets", 3, 40), 40],
    ["nothing is held", turned("repetition-maximum", 12), undefined],
    ["nothing at all is held", turned("repetition-maximum", 12, 0), 0],
    ["the variant has no load to turn", turned("repetition-maximum", 12, 40, [calendar]), 40],
    [
      "its loads are a ladder",
      turned("repetition-maximum", 12, 40, [calendar, { knob: "load", ladder: [40, 50] }]),
      40,
    ],
  ])("%s", (_what, change, kg) => expect(change.prescription.dose.loadKg).toBe(kg));
});

/** The boundaries, by hand: what fits exactly is taken; a heavier maximum never takes load away, a lighter one never adds any. */
describe("at the edges", () => {
  it("a load of the shelf that is just what can be lifted is taken", () => {
    // 40 kg fifteen times are 60 kg once, and 50 kg six times to the gram.
    expect(calendarLoad(load, 40, { from: 15, to: 6 }, { barbell: [49.9, 50, 50.1] })).toBe(50);
  });
  it("the same maximum again does not lift a load that is off the shelf", () => {
    expect(calendarLoad(load, 41, { from: 12, to: 12 }, { barbell: [40, 45] })).toBe(40);
    expect(calendarLoad(load, 41, { from: 12, to: 10 }, { barbell: [40] })).toBe(41);
  });
});
