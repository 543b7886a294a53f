import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { pathwayByCode, startingPathways } from "~/catalogue/pathways/all";
import { addDays } from "~/core/schedule/local-day";
import { daysToLastStage } from "./days-to-last-stage";
import type { Pathway } from "./pathway";

const [gated] = pathwayByCode("kneecap-pain").stages.filter((stage) => stage.gate);
if (!gated?.gate) throw new Error("the first stage of a pathway has a gate");
const { gate } = gated;
const stage = (code: string, inStage: number, sinceOnset: number): Pathway["stages"][number] => ({
  ...gated,
  code,
  gate: { ...gate, minimumDaysInStage: inStage, minimumDaysSinceOnset: sinceOnset },
});
const { gate: _none, ...last } = { ...gated, code: "last" };
const pathway: Pathway = {
  ...pathwayByCode("kneecap-pain"),
  stages: [stage("first", 14, 0), stage("second", 21, 60), last],
};

describe("worked by hand: 14 days, then 21 days and not before day 60", () => {
  it.each([
    // Fresh: 14 + 21 = 35 days by the stages, but day 60 comes later.
    ["first", "2026-03-01", "2026-03-01", "2026-03-01", 60],
    // Ten days in, injured ninety days ago: 4 + 21.
    ["first", "2026-03-01", "2025-12-11", "2026-03-11", 25],
    // Long past the first fortnight: what was spent too much counts for nothing later.
    ["first", "2026-01-01", "2025-06-01", "2026-03-11", 21],
    // In the second for twenty days, day 50 since the injury: one day by the stage, ten by the calendar.
    ["second", "2026-03-01", "2026-01-30", "2026-03-21", 10],
    // Over 29 February: from 1 February to 1 March 2028 are 29 days, so 31 are left of 60.
    ["second", "2028-02-01", "2028-02-01", "2028-03-01", 31],
    ["last", "2026-01-01", "2025-01-01", "2026-03-01", 0],
  ])("%s since %s, counted from %s, on %s: %i days", (code, enteredOn, countedFrom, today, days) => {
    expect(daysToLastStage(pathway, { stage: code, enteredOn, countedFrom, today })).toBe(days);
  });

  it("a stage that the pathway does not have is refused", () => {
    const standing = { enteredOn: "2026-01-01", countedFrom: "2026-01-01", today: "2026-01-02" };
    expect(() => daysToLastStage(pathway, { stage: "attic", ...standing })).toThrow(/attic/);
  });
});

it.each(startingPathways.map((each) => [each.code, each] as const))(
  "%s: a day that passes takes off a day or none, and a later stage is never further away",
  (_code, each) => {
    const day = fc.integer({ min: 0, max: 400 });
    fc.assert(
      fc.property(day, day, fc.nat(each.stages.length - 1), (before, inside, n) => {
        const countedFrom = "2024-01-15";
        const enteredOn = addDays(countedFrom, before);
        const at = (index: number, passed: number) =>
          daysToLastStage(each, {
            stage: each.stages[index]?.code ?? "",
            enteredOn,
            countedFrom,
            today: addDays(enteredOn, passed),
          });
        const left = at(n, inside);
        expect([left, Math.max(0, left - 1)]).toContain(at(n, inside + 1));
        const next = each.stages[n + 1];
        if (next && !each.stages[n]?.beforeSurgery) expect(at(n + 1, 0)).toBeLessThanOrEqual(at(n, 0));
      }),
      { seed: 20260310 },
    );
  },
);
