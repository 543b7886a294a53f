import { describe, expect, it } from "vitest";
import type { Measure } from "~/core/measure/measure";
import { asked, common, measure, ratio } from "~tests/builders/criteria";
import type { Criterion } from "./gate";
import { gateProblems } from "./gate-problems";

describe("what is wrong with a gate", () => {
  const told = (criterion: Criterion, measures: Measure[]) =>
    gateProblems(
      { minimumDaysInStage: 0, minimumDaysSinceOnset: 0, criteria: [criterion] },
      measures,
      "/gate",
    );
  const twoLegs = measure("a", { sides: "none" });
  const both = "is a measure of both legs together; this criterion asks about one leg";

  it("is nothing where every measure is given and fits", () => {
    expect(told(asked("value"), [twoLegs])).toEqual([]);
    expect(told(asked("of-reference"), [twoLegs])).toEqual([]);
    expect(told(ratio(), [measure("a"), measure("b")])).toEqual([]);
    expect(
      told({ ...common, kind: "within-rule", exercise: "x", effortPercent: 70, closedDays: 2 }, []),
    ).toEqual([]);
  });
  it("is a measure that nobody gave, by its field", () => {
    expect(told(ratio(), [measure("a")])).toEqual([
      { path: "/gate/criteria/0/over", problem: "names a measure that is not given" },
    ]);
  });
  it("is a two-leg measure where one leg is asked about", () => {
    expect(told(asked("symmetry"), [twoLegs])).toEqual([{ path: "/gate/criteria/0/measure", problem: both }]);
    expect(told(ratio(), [twoLegs, measure("b")])).toEqual([
      { path: "/gate/criteria/0/measure", problem: both },
    ]);
  });
});
