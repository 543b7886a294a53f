import { describe, expect, it } from "vitest";
import { startingExercises } from "~/catalogue/exercises/all";
import { startingMeasures } from "~/catalogue/measures/all";
import { pathwayByCode, startingPathways } from "~/catalogue/pathways/all";
import { stageNeeds } from "~/catalogue/stage-needs/all";
import { gateProblems } from "~/core/gate/gate-problems";
import { check } from "~/core/schema/check";
import { Pathway, stageOf } from "~/core/pathway/pathway";

describe.each(startingPathways.map((pathway) => [pathway.code, pathway] as const))("%s", (code, pathway) => {
  it("fits its schema; gates name measures of one leg where they ask about one", () => {
    expect(check(Pathway, JSON.parse(JSON.stringify(pathway)))).toMatchObject({ ok: true });
    for (const { gate } of pathway.stages)
      if (gate) expect(gateProblems(gate, startingMeasures, "")).toEqual([]);
  });
  it("has a gate out of every stage but the last, so that no stage is out of reach", () => {
    expect(pathway.stages.map((stage) => stage.gate !== undefined)).toEqual(
      pathway.stages.map((_, n) => n < pathway.stages.length - 1),
    );
    expect(new Set(pathway.stages.map((stage) => stage.code)).size).toBe(pathway.stages.length);
    for (const { gate } of pathway.stages.slice(0, -1))
      expect(gate?.criteria.some((c) => c.required)).toBe(true);
  });
  it("trains in every stage the lanes its needs name, each with exercises that exist", () => {
    const ids = new Set(startingExercises.map((e) => e.id));
    for (const stage of pathway.stages) {
      const need = stageNeeds.find((n) => n.pathway === code && n.stage === stage.code);
      expect(stage.lanes.map((l) => l.lane).sort()).toEqual(need?.lanes.map((l) => l.lane).sort());
      for (const { exercises } of stage.lanes) for (const id of exercises) expect(ids).toContain(id);
    }
  });
  it("times rise from gate to gate", () => {
    const times = pathway.stages.flatMap(({ gate, beforeSurgery }) =>
      gate && !beforeSurgery ? [gate.minimumDaysSinceOnset] : [],
    );
    expect([...times].sort((a, b) => a - b)).toEqual(times);
  });
  it("tells the patient something in every stage, without shouting", () => {
    for (const { aim, expect: told } of pathway.stages) {
      expect(told.length).toBeGreaterThan(15);
      expect(`${aim} ${told}`).not.toMatch(/!/);
    }
  });
});

describe("published thresholds", () => {
  const criterion = (pathway: string, stage: string, id: string) => {
    const found = stageOf(pathwayByCode(pathway), stage).gate?.criteria.find((c) => c.id === id);
    if (!found) throw new Error(`${pathway}, ${stage} has no criterion ${id}`);
    return found;
  };
  it.each([
    [
      "hamstring-strain",
      "bridge-and-lengthen",
      "active-knee-extension-deficit-difference",
      "<=",
      10,
      "Malliaropoulos 2010",
    ],
    ["hamstring-strain", "lengthen-under-load", "single-leg-bridge-reps-value", ">=", 20, "Freckleton 2014"],
    [
      "hamstring-strain",
      "lengthen-under-load",
      "single-leg-bridge-reps-symmetry",
      ">=",
      90,
      "Freckleton 2014",
    ],
    ["hamstring-strain", "fast-running", "fast-leg-raise-value", ">=", 1, "Askling 2010"],
    ["tendon-pain", "isometric", "pain-loading-test-value", "<=", 3, "Malliaras 2015"],
    ["ligament-reconstruction", "before-surgery", "knee-extension-force-symmetry", ">=", 80, "Eitzen 2009"],
    [
      "ligament-reconstruction",
      "strength-and-control",
      "knee-extension-force-symmetry",
      ">=",
      70,
      "Rambaud 2018",
    ],
    ["ligament-reconstruction", "sport", "knee-extension-force-symmetry", ">=", 90, "Grindem 2016"],
    ["ligament-reconstruction", "sport", "single-hop-symmetry", ">=", 90, "Noyes 1991"],
    ["ligament-reconstruction", "sport", "timed-hop-symmetry", ">=", 90, "Noyes 1991"],
    ["ankle-and-calf", "spring", "heel-raise-reps-value", ">=", 25, "Lunsford & Perry 1995"],
  ] as const)("%s, %s: %s %s %d (%s)", (pathway, stage, id, comparison, threshold, cite) => {
    expect(criterion(pathway, stage, id)).toMatchObject({
      comparison,
      threshold,
      source: { kind: "published", cite, recalled: true },
    });
  });
  it("no clearance for sport before nine months after ligament reconstruction (Grindem 2016)", () => {
    expect(
      stageOf(pathwayByCode("ligament-reconstruction"), "sport").gate?.minimumDaysSinceOnset,
    ).toBeGreaterThanOrEqual(273);
  });
  it("no running before twelve weeks after it (Rambaud 2018)", () => {
    expect(
      stageOf(pathwayByCode("ligament-reconstruction"), "strength-and-control").gate?.minimumDaysSinceOnset,
    ).toBe(84);
  });
});
