import { describe, expect, it } from "vitest";
import { startingExercises } from "~/catalogue/exercises/all";
import { groinPathway } from "~/catalogue/pathways/groin";
import { gaps, stageNeeds } from "~/catalogue/stage-needs/all";
import { suits } from "~/core/progression/stage-need";
import { bareHome, fullGym } from "~/core/exercise/kit";
import type { Restriction } from "~/core/limit/restriction";

/** Three at home without kit, four in a gym: so that a clinician can choose and swap (common practice). */
const wanted = [
  { where: "home", kit: bareHome, least: 3 },
  { where: "gym", kit: fullGym, least: 4 },
] as const;

const lanes = stageNeeds.flatMap((need) => need.lanes.map(({ lane }) => ({ need, lane })));

describe.each(wanted)("$where", ({ where, kit, least }) => {
  const atHand: Restriction = { kind: "kit", available: [...kit], origin: "kit", says: "what is there" };
  it.each(lanes.map(({ need, lane }) => [need.pathway, need.stage, lane, need] as const))(
    "%s, %s, %s",
    (pathway, stage, lane, need) => {
      const suitable = startingExercises.flatMap((exercise) =>
        exercise.variants.filter((variant) => suits(exercise, variant, need, lane, [atHand])),
      );
      const gap = gaps.find(
        (g) => g.pathway === pathway && g.stage === stage && g.lane === lane && g.where === where,
      );
      if (gap) expect(gap.reason.length).toBeGreaterThan(20);
      else expect(suitable.length).toBeGreaterThanOrEqual(least);
    },
  );
});

it("every pathway of the trade has its stages", () => {
  const count = new Map<string, number>();
  for (const { pathway } of stageNeeds) count.set(pathway, (count.get(pathway) ?? 0) + 1);
  expect(Object.fromEntries(count)).toEqual({
    "groin-strain": 6,
    "hamstring-strain": 5,
    "hip-arthroscopy": 4,
    "hip-impingement": 4,
    "kneecap-pain": 4,
    "tendon-pain": 4,
    "ligament-reconstruction": 6,
    "meniscus-partial": 4,
    "meniscus-repair": 4,
    "meniscus-prevention": 3,
    "ankle-and-calf": 4,
    "back-stiff-extension": 3,
    "slipped-vertebra": 4,
    "stairs-again": 4,
    "single-leg-confidence": 3,
    "in-season-prehab": 2,
  });
});

it("the groin pathway trains in every stage exactly the lanes its needs name", () => {
  for (const stage of groinPathway.stages) {
    const need = stageNeeds.find((n) => n.pathway === groinPathway.code && n.stage === stage.code);
    expect(need?.lanes.map((l) => l.lane).sort()).toEqual(stage.lanes.map((l) => l.lane).sort());
  }
});
