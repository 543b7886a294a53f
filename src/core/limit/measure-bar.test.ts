import { describe, expect, it } from "vitest";
import { measureByCode } from "~/catalogue/measures/all";
import { codesOfOperation, proceduresOf } from "~/catalogue/procedures/all";
import { operationLimits } from "~/core/event/operation-limits";
import { startingPathways } from "~/catalogue/pathways/all";
import { addDays } from "~/core/schedule/local-day";
import { measuresIn } from "~/core/gate/measures-in";
import { barToMeasure } from "./measure-bar";
import type { Restriction } from "./restriction";

const today = "2026-03-10";
const by = { origin: "procedure" as const, says: "as written" };
const bar = (code: string, ...limits: Restriction[]) =>
  barToMeasure(measureByCode(code), limits, today)?.says ?? null;

describe("a test is an exercise too (common practice)", () => {
  const noSprings: Restriction = { kind: "spring", most: "none", ...by };
  it.each([
    "single-hop",
    "triple-hop",
    "crossover-hop",
    "timed-hop",
    "side-hops",
    "jump-height",
    "agility-t",
  ])("no %s while springs are barred", (code) => expect(bar(code, noSprings)).toBe("as written"));
  it.each([
    ["no straight-leg raise: no lag, no fast raise", "quad-lag", { kind: "straight-leg-raise", ...by }],
    ["no running: no steady run", "steady-run-minutes", { kind: "running", ...by }],
    ["two legs only: no single-leg stance", "stance-open", { kind: "legs", most: "both", ...by }],
    ["no weight: no step-down", "step-down-reps", { kind: "weight", mostShare: 0, ...by }],
    [
      "knee to 60°, loaded: no rise from a chair",
      "chair-stand-30s",
      { kind: "range", joint: "knee", mostDeg: 60, when: "loaded", leg: "involved", ...by },
    ],
    [
      "hamstring graft: no isolated bending",
      "knee-flexion-force",
      { kind: "resisted", muscle: "hamstrings", most: "none", ...by },
    ],
    [
      "open-chain extension barred: no test of it",
      "knee-extension-force",
      { kind: "forbid", codes: ["open-chain-knee-extension"], ...by },
    ],
  ] as const)("%s", (_what, code, limit) => expect(bar(code, limit as Restriction)).toBe("as written"));
  it("what is taken lying still is barred by none of them", () => {
    for (const code of ["pain-worst", "effusion", "knee-flexion", "hip-abduction-range"])
      expect([code, bar(code, noSprings, { kind: "weight", mostShare: 0, ...by })]).toEqual([code, null]);
  });
  it("a limit that has ended bars nothing", () =>
    expect(bar("single-hop", { ...noSprings, until: "2026-03-09" })).toBeNull());
});

it("no gate of a pathway asks for a test that its own stage or calendar forbids on the first day it can open", () => {
  const barred = startingPathways.flatMap((pathway) =>
    pathway.stages.flatMap((stage) => {
      if (!stage.gate) return [];
      const onset = "2026-01-01";
      const day = addDays(onset, Math.max(stage.gate.minimumDaysSinceOnset, stage.gate.minimumDaysInStage));
      // Nothing counts from an operation before there was one.
      const grafts = stage.beforeSurgery ? [] : (pathway.grafts ?? [undefined]);
      const [name = ""] = pathway.procedures ?? [];
      const codes = codesOfOperation(name);
      const limits = [
        ...stage.limits,
        ...grafts.flatMap((graft) => operationLimits(proceduresOf(codes), { on: onset, graft })),
      ];
      const asked = stage.gate.criteria.filter(({ required }) => required).flatMap(measuresIn);
      return asked.flatMap((code) => {
        const found = barToMeasure(measureByCode(code), limits, day);
        return found ? [`${pathway.code} ${stage.code}: ${code}, ${found.says}`] : [];
      });
    }),
  );
  expect(barred).toEqual([]);
});
