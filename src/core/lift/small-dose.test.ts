import { describe, expect, it } from "vitest";
import { addDays } from "~/core/schedule/local-day";
import { nextSmallDose, smallDoseProblems, type SmallDoseKnown, type SmallDoseStep } from "./small-dose";

const today = "2026-03-30";
const step = (name: SmallDoseStep["step"], signedAgo: number, lookIn: number): SmallDoseStep => ({
  id: name,
  at: `${addDays(today, -signedAgo)}T10:00:00Z`,
  step: name,
  lookOn: addDays(today, lookIn),
  note: "",
});
const known: SmallDoseKnown = {
  stalled: true,
  forwardOn: addDays(today, -2),
  backwardOn: addDays(today, -2),
  steps: [],
  today,
};

/** Small dose, look again, more on another day, refer (common practice): written down before it was run. */
describe("what comes next", () => {
  it.each([
    ["loads move and nothing was tried", { stalled: false }, "nothing"],
    ["stalled, bending never looked at", { forwardOn: null, backwardOn: null }, "screen"],
    ["only forward was looked at", { backwardOn: null }, "screen"],
    ["only backward was looked at", { forwardOn: null }, "screen"],
    ["looked at 28 days ago", { forwardOn: addDays(today, -28) }, "begin"],
    ["looked at 29 days ago", { forwardOn: addDays(today, -29) }, "screen"],
    ["both looked at", {}, "begin"],
    ["begun, the day lies ahead", { steps: [step("begin", 10, 1)] }, "wait"],
    ["the day to look again, still stalled", { steps: [step("begin", 21, 0)] }, "more"],
    ["the day to look again, moving", { stalled: false, steps: [step("begin", 21, 0)] }, "moving"],
    ["more of it, the day lies ahead", { steps: [step("begin", 30, -9), step("more", 9, 12)] }, "wait"],
    ["more of it, still stalled", { steps: [step("begin", 45, -24), step("more", 21, 0)] }, "refer"],
    [
      "the order of arrival does not count",
      { steps: [step("more", 21, 0), step("begin", 45, -24)] },
      "refer",
    ],
    ["referred", { steps: [step("begin", 60, -40), step("refer", 5, 16)] }, "referred"],
  ] as const)("%s: %s", (_what, over, expected) =>
    expect(nextSmallDose({ ...known, ...over })).toBe(expected),
  );
});

describe("a step that is signed", () => {
  const paths = (
    name: SmallDoseStep["step"],
    next: Parameters<typeof smallDoseProblems>[1]["next"],
    lookIn = 21,
  ) =>
    smallDoseProblems({ step: name, lookOn: addDays(today, lookIn) }, { next, today }).map(
      ({ path }) => path,
    );
  it.each([
    ["what comes next", "begin", "begin", 21, []],
    ["begun by whoever examined by hand", "begin", "screen", 21, []],
    ["more before the day", "more", "wait", 21, ["/step"]],
    ["more while it moves", "more", "moving", 21, ["/step"]],
    ["referred at any time", "refer", "wait", 21, []],
    ["referred twice", "refer", "referred", 21, ["/step"]],
    ["begun twice", "begin", "more", 21, ["/step"]],
    ["a week is the least", "begin", "begin", 7, []],
    ["six days are too near", "begin", "begin", 6, ["/lookOn"]],
    ["six weeks are the most", "more", "more", 42, []],
    ["longer is forgotten", "more", "more", 43, ["/lookOn"]],
  ] as const)("%s", (_what, name, next, lookIn, expected) =>
    expect(paths(name, next, lookIn)).toEqual(expected),
  );
});
