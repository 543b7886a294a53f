import { describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { startingPathways } from "~/catalogue/pathways/all";
import type { Pathway, Stage } from "~/core/pathway/pathway";
import { addDays } from "~/core/schedule/local-day";
import { firstDay, walking } from "~tests/harness/walk";

const walk = walking();

describe.each(startingPathways.map((pathway) => [pathway.code, pathway] as const))("%s", (_code, pathway) => {
  it("is walked from intake to its last stage through the endpoints, without an override", async () => {
    await walk.morning(firstDay);
    const begun = await walk.begin(pathway);
    const today = await walk.toTheEnd(begun, pathway);
    const last = pathway.stages.at(-2)?.gate;
    const counted = pathway.countsFrom === "surgery" ? "2026-03-07" : "2026-02-10";
    expect(today >= addDays(counted, last?.minimumDaysSinceOnset ?? 0)).toBe(true);
    const row = (await walk.client.get("/api/caseload")).body.rows.find(
      (r: { episodeId: string }) => r.episodeId === begun.id,
    );
    expect(row).toMatchObject({ stageNumber: pathway.stages.length, stageCount: pathway.stages.length });
  });
});

it("a setback moves back a stage, and the way forward is walked again", async () => {
  await walk.morning(firstDay);
  const pathway = startingPathways.find((p) => p.code === "kneecap-pain") as Pathway;
  const { id } = await walk.begin(pathway);
  const [calm, capacity] = pathway.stages as [Stage, Stage];
  let today = await walk.passStage(id, calm, firstDay);
  today = addDays(today, 10);
  await walk.morning(today);
  const worse = { id: uuid(), measure: "pain-step-down", side: "none", trials: [7] };
  expect(
    (await walk.client.post(`/api/episodes/${id}/measures`, { id: uuid(), takenOn: today, results: [worse] }))
      .status,
  ).toBe(201);
  const view = await walk.gateOf(id);
  const back = {
    id: uuid(),
    expectedVersion: view.version,
    action: "back",
    stage: "calm",
    reason: "Stairs hurt again after a hike",
  };
  expect((await walk.client.post(`/api/episodes/${id}/gate`, back)).status).toBe(201);
  expect(await walk.gateOf(id)).toMatchObject({ stage: "calm", stageEnteredOn: today });
  today = await walk.passStage(id, calm, addDays(today, 1));
  expect(await walk.gateOf(id)).toMatchObject({
    stage: capacity.code,
    moves: [{ kind: "pass" }, { kind: "back" }, { kind: "pass" }, { kind: "place" }],
  });
});
