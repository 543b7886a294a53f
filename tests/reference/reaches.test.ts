import { describe, expect, it } from "vitest";
import { bookOfBody } from "~/catalogue/demands/book";
import { startingExercises } from "~/catalogue/exercises/all";
import { decide } from "~/core/decision/decide";
import { firstPrescription, variantOf } from "~/core/exercise/exercise";
import { aimFarther } from "~/core/progression/aim-farther";
import { notch } from "~/core/progression/notch";
import { day, reps, stepUpInput } from "~tests/builders/decide-input";

/** 'A few cm further each time, hovering, not touching': on the ladder of the person who reaches (common practice). */
const exercise = startingExercises.find(({ id }) => id === "three-way-reach");
if (!exercise) throw new Error("reaches are in the catalogue");
const variant = variantOf(exercise, "reach-back");
const first = firstPrescription(variant);
const aimed = (reach: number) => ({
  ...first,
  settings: { ...first.settings, reach },
  dose: { ...first.dose, hold: undefined, sets: 3, reps: { bottom: 6, top: 10 } },
});
const [turn] = variant.turns;
if (!turn) throw new Error("a reach is turned");

describe("a reach without a measure", () => {
  it.each([
    [29, 1, 32],
    [40, 1, 43],
    [61, 1, 62],
    [62, 1, null],
    [75, 1, null],
    [40, -1, 37],
    [21, -1, 20],
    [20, -1, null],
  ] as const)("from %d cm, %d: %s", (from, direction, to) =>
    expect(notch(turn, aimed(from), direction)).toBe(to),
  );
});

it("is aimed a few centimetres beyond what was reached, and not beyond any leg", () => {
  expect([34, 33.6, 147, 148].map((cm) => aimFarther(exercise, first, cm))).toEqual([37, 37, 150, null]);
});

it("a jump's distance, which goes by its rungs, is not aimed so", () => {
  const hops = startingExercises.find(({ variants }) =>
    variants.some(({ turns }) => turns.some((one) => one.knob === "reach" && !("ownStep" in one))),
  );
  const hop = hops?.variants.find(({ turns }) => turns.some(({ knob }) => knob === "reach"));
  if (!hops || !hop) throw new Error("some jump has a distance");
  expect(aimFarther(hops, firstPrescription(hop), 61)).toBeNull();
});

describe("two good days, aimed at 29 cm", () => {
  const proposal = (...reached: (number | undefined)[]) => {
    const sets = (cm: number | undefined) =>
      reps([10, 10, 10], cm === undefined ? {} : { settings: { reach: cm } });
    const [before, last] = reached;
    const { change } = decide(
      stepUpInput({
        exercise,
        prescription: aimed(29),
        trainingDays: [day(5, sets(before)), day(8, sets(last))],
      }),
    );
    return change && "knob" in change ? `${change.knob} ${change.from} to ${change.to}` : null;
  };
  it.each([
    ["nobody measured", [undefined, undefined], "reach 29 to 32"],
    ["what was aimed at was reached", [29, 29], "reach 29 to 32"],
    ["farther was reached on the last day", [30, 36], "reach 29 to 39"],
    ["an earlier day does not count", [40, 29], "reach 29 to 32"],
  ] as const)("%s", (_what, reached, expected) => expect(proposal(...reached)).toBe(expected));
  it("shorter than aimed is no good day", () => expect(proposal(29, 27)).toBeNull());
  it("beyond what this body can be drawn to reach the ladder's own step is taken", () => {
    const far = reps([10, 10, 10], { settings: { reach: 120 } });
    const input = stepUpInput({
      exercise,
      prescription: aimed(29),
      trainingDays: [day(5, far), day(8, far)],
    });
    const { change } = decide(input, undefined, bookOfBody({ heightM: 1.6 }));
    expect(change).toMatchObject({ knob: "reach", to: 32 });
  });
  it("the shortest of the sets is what was reached", () => {
    const uneven = [
      ...reps([10, 10], { settings: { reach: 38 } }),
      ...reps([10], { settings: { reach: 33 } }),
    ];
    const { change } = decide(
      stepUpInput({ exercise, prescription: aimed(29), trainingDays: [day(5, uneven), day(8, uneven)] }),
    );
    expect(change).toMatchObject({ knob: "reach", to: 36 });
  });
});
