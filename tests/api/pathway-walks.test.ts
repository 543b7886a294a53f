import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { measureByCode } from "~/catalogue/measures/all";
import { startingPathways } from "~/catalogue/pathways/all";
import type { Criterion } from "~/core/gate/gate";
import type { GateView } from "~/contract/gate";
import type { Placing } from "~/core/intake/placing";
import type { Pathway, Stage } from "~/core/pathway/pathway";
import { addDays } from "~/core/schedule/local-day";
import { someIntake } from "~tests/builders/intake";
import { fillLanes } from "~tests/harness/fill-lanes";
import { measuresIn } from "~/core/gate/measures-in";
import { trainedDaily } from "~tests/harness/trained";
import { startServers, type Servers } from "~tests/harness/servers";
import { signedIn, type Client, type Reply } from "~tests/harness/client";

let servers: Servers;
let client: Client;

const firstDay = "2026-03-10";
const nine = (date: string) => `${date}T09:00:00.000Z`;

beforeAll(async () => {
  servers = await startServers(1);
  client = await signedIn(servers.urls[0] as string);
});
afterAll(() => servers.stop());

/** The clinic's morning of that day; the session at the desk has ended over night. */
async function morning(date: string): Promise<void> {
  servers.setClock(nine(date));
  client = await signedIn(servers.urls[0] as string);
}

async function begin(pathway: Pathway): Promise<{ id: string; placing: Placing }> {
  const intake = someIntake(pathway.code);
  const placing = (await client.post("/api/intakes/placing", { intake })).body as Placing;
  const items = placing.lanes.flatMap(({ chosen }) =>
    chosen
      ? [
          {
            id: uuid(),
            exerciseId: chosen.exerciseId,
            variantId: chosen.variantId,
            sets: chosen.prescription.dose.sets,
          },
        ]
      : [],
  );
  const id = uuid();
  const signed = await client.post("/api/intakes", { id, intake, stage: placing.stage, items });
  if (signed.status !== 201) throw new Error(JSON.stringify(signed.body));
  return { id, placing };
}

const gateOf = async (id: string) => (await client.get(`/api/episodes/${id}/gate`)).body as GateView;

/** A value that satisfies every criterion that reads the measure, the same on both sides. */
function satisfying(code: string, criteria: readonly Criterion[]): number {
  const measure = measureByCode(code);
  const own = criteria.filter((c) => c.kind === "value" && c.measure === code);
  const atLeast = own.flatMap((c) => (c.kind === "value" && c.comparison === ">=" ? [c.threshold] : []));
  const atMost = own.flatMap((c) => (c.kind === "value" && c.comparison === "<=" ? [c.threshold] : []));
  const { low, high } = measure.usual ?? measure.plausible;
  const middle = (low + high) / 2;
  const value =
    atLeast.length > 0
      ? Math.min(measure.plausible.high, Math.max(...atLeast) * 1.1)
      : atMost.length > 0
        ? Math.min(...atMost)
        : middle;
  return measure.whole ? Math.ceil(value) : Math.round(value * 10) / 10;
}

/** Takes everything that the stage's gate reads; what has to rise does so from the first time to the next. */
async function measureFor(id: string, stage: Stage, takenOn: string, isFirst = false): Promise<void> {
  const criteria = stage.gate?.criteria ?? [];
  const codes = new Set(["squeeze-force", ...criteria.flatMap(measuresIn)]);
  const rises = criteria.filter((c) => c.kind === "change");
  const results = [...codes].flatMap((measure) => {
    const sides = measureByCode(measure).sides === "none" ? ["none"] : ["left", "right"];
    const rise = rises.find((c) => c.measure === measure)?.threshold ?? 0;
    const value = satisfying(measure, criteria) + (isFirst ? 0 : rise);
    return sides.map((side) => ({ id: uuid(), measure, side, trials: [value], confirmed: true }));
  });
  const reply = await client.post(`/api/episodes/${id}/measures`, { id: uuid(), takenOn, results });
  if (reply.status !== 201) throw new Error(JSON.stringify(reply.body));
}

/** Two training days of firm squeezes with quiet mornings after, where the gate asks for effort within the rule. */
async function squeezeDays(id: string, from: string): Promise<string> {
  const { items } = (await client.get(`/api/episodes/${id}`)).body;
  const squeeze = items.find((i: { exercise: { id: string } }) => i.exercise.id === "ball-squeeze");
  let today = from;
  for (let n = 0; n < 2; n += 1) {
    await morning(today);
    const sets = Array.from({ length: 5 }, () => ({
      side: "both",
      holdSeconds: 10,
      forceN: Math.round(squeeze.maximumN * 0.72),
      painDuring: 0,
      painSite: "episode",
      effort: 6,
      faults: [],
    }));
    const session = {
      id: uuid(),
      occurredAt: nine(today),
      painBefore: 0,
      items: [{ itemId: squeeze.itemId, sets }],
    };
    expect((await client.post(`/api/episodes/${id}/sessions`, session)).status).toBe(201);
    const worked = today;
    today = addDays(today, 1);
    await morning(today);
    const report: Reply = await client.post(`/api/episodes/${id}/reports`, {
      id: uuid(),
      trainingDate: worked,
      pain: 0,
      swelling: "same",
    });
    expect(report.status).toBe(201);
    today = addDays(today, 1);
  }
  return today;
}

/** What no number can decide is judged by the clinician. */
async function judgeInWriting(id: string): Promise<void> {
  const { gate } = await gateOf(id);
  for (const { id: criterion, note } of gate?.criteria ?? []) {
    if (note !== "norm-unknown") continue;
    const reason = "Rises ten times without the arms, at 41 no band applies";
    const reply = await client.post(`/api/episodes/${id}/criterion-words`, { id: uuid(), criterion, reason });
    expect(reply.status).toBe(201);
  }
}

/** Lives through one stage until its gate is open, and signs it. @returns the day of the signature */
async function passStage(id: string, stage: Stage, today: string): Promise<string> {
  await morning(today);
  // What the calendar still bars comes in later.
  await fillLanes(client, id);
  await measureFor(id, stage, today, true);
  let day = stage.gate?.criteria.some((c) => c.kind === "within-rule") ? await squeezeDays(id, today) : today;
  const waiting = await gateOf(id);
  day = addDays(day, waiting.gate?.daysLeft ?? 0);
  await morning(day);
  await measureFor(id, stage, day);
  expect(await fillLanes(client, id)).toEqual([]);
  await trainedDaily(servers.database.ownerUrl, id, { before: day });
  await judgeInWriting(id);
  const view = await gateOf(id);
  expect(view.gate?.criteria.filter((c) => c.required && !c.passes).map((c) => c.name)).toEqual([]);
  expect(view.gate).toMatchObject({ outcome: "open" });
  const next = view.stages[view.stages.findIndex((s) => s.code === view.stage) + 1];
  const signed = await client.post(`/api/episodes/${id}/gate`, {
    id: uuid(),
    expectedVersion: view.version,
    action: "pass",
    stage: next?.code,
  });
  expect(signed.status).toBe(201);
  return day;
}

describe.each(startingPathways.map((pathway) => [pathway.code, pathway] as const))("%s", (_code, pathway) => {
  it("is walked from intake to its last stage through the endpoints, without an override", async () => {
    await morning(firstDay);
    const { id, placing } = await begin(pathway);
    let today = firstDay;
    const from = pathway.stages.findIndex((stage) => stage.code === placing.stage);
    for (const stage of pathway.stages.slice(from, -1)) {
      expect((await gateOf(id)).stage).toBe(stage.code);
      today = await passStage(id, stage, today);
    }
    const end = await gateOf(id);
    expect(end).toMatchObject({ stage: pathway.stages.at(-1)?.code, gate: null });
    expect(end.moves.map((move) => move.kind)).not.toContain("override");
    const last = pathway.stages.at(-2)?.gate;
    const counted = pathway.countsFrom === "surgery" ? "2026-03-07" : "2026-02-10";
    expect(today >= addDays(counted, last?.minimumDaysSinceOnset ?? 0)).toBe(true);
    const row = (await client.get("/api/caseload")).body.rows.find(
      (r: { episodeId: string }) => r.episodeId === id,
    );
    expect(row).toMatchObject({ stageNumber: pathway.stages.length, stageCount: pathway.stages.length });
  });
});

it("a setback moves back a stage, and the way forward is walked again", async () => {
  await morning(firstDay);
  const pathway = startingPathways.find((p) => p.code === "kneecap-pain") as Pathway;
  const { id } = await begin(pathway);
  const [calm, capacity] = pathway.stages as [Stage, Stage];
  let today = await passStage(id, calm, firstDay);
  today = addDays(today, 10);
  await morning(today);
  const worse = { id: uuid(), measure: "pain-step-down", side: "none", trials: [7] };
  expect(
    (await client.post(`/api/episodes/${id}/measures`, { id: uuid(), takenOn: today, results: [worse] }))
      .status,
  ).toBe(201);
  const view = await gateOf(id);
  const back = {
    id: uuid(),
    expectedVersion: view.version,
    action: "back",
    stage: "calm",
    reason: "Stairs hurt again after a hike",
  };
  expect((await client.post(`/api/episodes/${id}/gate`, back)).status).toBe(201);
  expect(await gateOf(id)).toMatchObject({ stage: "calm", stageEnteredOn: today });
  today = await passStage(id, calm, addDays(today, 1));
  expect(await gateOf(id)).toMatchObject({
    stage: capacity.code,
    moves: [{ kind: "pass" }, { kind: "back" }, { kind: "pass" }, { kind: "place" }],
  });
});
