import { expect, it } from "vitest";
import { startingPathways } from "~/catalogue/pathways/all";
import { stageOf } from "~/core/pathway/pathway";
import type { Criterion } from "~/core/gate/gate";
import { gateTable } from "./gate-table";

const said = (criterion: Criterion): string => {
  const asked =
    criterion.kind === "within-rule"
      ? `${criterion.effortPercent} % on ${criterion.closedDays}`
      : criterion.kind === "chair-stand"
        ? `the band of age, ${criterion.maxAgeDays} d`
        : `${"twoSided" in criterion ? "two-sided " : ""}${criterion.comparison} ${criterion.threshold}, ${criterion.maxAgeDays} d`;
  const { source } = criterion;
  const cite = source.kind === "published" ? ` [${source.cite}]` : "";
  return `${criterion.id}: ${asked}${criterion.required ? "" : ", optional"}${cite}`;
};

it.each(gateTable)(
  "%s, out of %s: %i days, %i in the stage",
  (code, stage, sinceOnset, inStage, criteria) => {
    const pathway = startingPathways.find((candidate) => candidate.code === code);
    const gate = pathway && stageOf(pathway, stage).gate;
    expect([gate?.minimumDaysSinceOnset, gate?.minimumDaysInStage]).toEqual([sinceOnset, inStage]);
    expect(gate?.criteria.map(said)).toEqual(criteria);
  },
);

it("no gate is left out", () => {
  const all = startingPathways.flatMap(({ code, stages }) =>
    stages.filter(({ gate }) => gate).map((stage) => `${code} ${stage.code}`),
  );
  expect(gateTable.map(([code, stage]) => `${code} ${stage}`)).toEqual(all);
});
