import { expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { pathwayByCode } from "~/catalogue/pathways/all";
import type { Stage } from "~/core/pathway/pathway";
import { addDays } from "~/core/schedule/local-day";
import { firstDay, walking } from "~tests/harness/walk";

const walk = walking();

// One from an operation; `npm run test:stories` walks every one of them, and one from an injury begins below.
it("an operation's pathway is walked from intake to its last stage, without an override", async () => {
  const pathway = pathwayByCode("ligament-reconstruction");
  await walk.morning(firstDay);
  const begun = await walk.begin(pathway);
  await walk.toTheEnd(begun, pathway);
  expect(await walk.gateOf(begun.id)).toMatchObject({ stage: pathway.stages.at(-1)?.code });
});

it("a setback moves back a stage, and the way forward is walked again", async () => {
  await walk.morning(firstDay);
  const pathway = pathwayByCode("kneecap-pain");
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
