import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import type { CatalogueHit } from "~/contract/library";
import type { PlanItem } from "~/contract/plan";
import { startServers, type Servers } from "~tests/harness/servers";
import { signedIn, type Client, type Reply } from "~tests/harness/client";
import { fencer, squeezeOf } from "~tests/harness/story";

let servers: Servers;
let one: Client;
let two: Client;
let assistant: Client;

beforeAll(async () => {
  servers = await startServers(2);
  one = await signedIn(servers.urls[0] as string);
  two = one.at(servers.urls[1] as string);
  assistant = await signedIn(servers.urls[1] as string, "assistant");
});
afterAll(() => servers.stop());

const paths = (reply: Reply) => (reply.body.problems ?? []).map((p: { path: string }) => p.path);
const plan = async (client = one) => (await client.get(`/api/episodes/${fencer}/plan`)).body;
const add = (body: object, client = one) =>
  client.post(`/api/episodes/${fencer}/items`, { id: uuid(), ...body });

describe("the catalogue", () => {
  const search = async (query: string) => (await one.get(`/api/exercises?${query}`)).body;

  it("is searched by everything at once", async () => {
    const { hits } = await search(
      "lane=knee-extensors&kit=wall,chair&contraction=isometric&lowKneeBend=true",
    );
    expect(hits.length).toBeGreaterThan(3);
    for (const hit of hits as CatalogueHit[]) {
      expect(hit.lane).toBe("knee-extensors");
      expect(["wall", "chair"]).toEqual(expect.arrayContaining(hit.kit));
      expect(hit.prescription.settings["contraction"]).toBe("isometric");
    }
    const sitting = (await search("positions=sitting&text=calf")).hits as CatalogueHit[];
    expect(sitting.map((hit) => hit.position)).toEqual(sitting.map(() => "sitting"));
    expect((await search("kit=none")).hits.every((hit: CatalogueHit) => hit.kit.length === 0)).toBe(true);
  });
  it("forgives a slip of the finger and puts the name before the rest", async () => {
    expect((await search("text=romanian")).hits[0]).toMatchObject({ exerciseId: "hinge" });
    expect((await search("text=squeze")).hits[0]).toMatchObject({ exerciseId: "ball-squeeze" });
  });
  it("knows what a stage allows", async () => {
    const early = (await search("stage=groin-strain/protect&lane=adductors")).hits as CatalogueHit[];
    expect([...new Set(early.map((h) => h.phase))]).toEqual(["isometric"]);
  });
  it.each([
    ["lane=elbows", "/lane"],
    ["positions=upside-down", "/positions/0"],
    ["kit=anvil", "/kit"],
    ["limit=0", "/limit"],
    ["colour=red", "/colour"],
  ])("refuses %s, naming the field", async (query, path) => {
    const reply = await one.get(`/api/exercises?${query}`);
    expect(reply.status).toBe(422);
    expect(paths(reply).some((p: string) => p.startsWith(path))).toBe(true);
  });
});

describe("the plan", () => {
  it("says of each item its minutes and the one knob that is next, both ways", async () => {
    const { items, time, stage } = await plan();
    expect(stage).toBe("isometric");
    const squeeze = items.find((item: PlanItem) => item.itemId === squeezeOf("fencer"));
    // 5 × 10 s and 4 rests of 30 s
    expect(squeeze.time).toMatchObject({ workSeconds: 50, restSeconds: 120 });
    expect(squeeze.harder).toMatchObject({ knob: "effort", from: "50-70", to: "70-85" });
    expect(squeeze.easier).toMatchObject({ knob: "effort", to: "30-40" });
    expect(time.minutes).toBeCloseTo(170 / 60, 9);
  });

  it("counts what was made harder this week: a step signed now is one more", async () => {
    // Somebody with a step that the week does not count yet: made harder or begun more than a week ago. A lane that is
    // ready for the gate changes no prescription, so it is no step of the week.
    const { rows } = (await one.get("/api/caseload")).body;
    const weekAgo = (asOf: string) => new Date(Date.parse(asOf) - 8 * 86_400_000).toISOString();
    type Ready = { itemId: string; prescribedAt: string; proposal: { outcome: string; rule: string } };
    let found: { path: string; version: number; ready: Ready } | undefined;
    for (const { episodeId } of rows) {
      const stair = (await one.get(`/api/episodes/${episodeId}`)).body;
      const ready = stair.items?.find(
        ({ proposal, prescribedAt }: Ready) =>
          proposal.outcome === "step-up" &&
          proposal.rule !== "lane-ready" &&
          prescribedAt < weekAgo(stair.asOf),
      );
      if (ready) found = { path: `/api/episodes/${episodeId}`, version: stair.version, ready };
      if (found) break;
    }
    if (!found) throw new Error("somebody of the demo has a step that the week does not count");
    const { path, version, ready } = found;
    const before = (await one.get(`${path}/plan`)).body.changeBudget;
    const signed = await one.post(`${path}/decisions`, {
      id: uuid(),
      itemId: ready.itemId,
      expectedVersion: version,
      action: "accept",
    });
    expect(signed.status).toBe(201);
    const after = (await one.get(`${path}/plan`)).body.changeBudget;
    expect(after).toEqual({ used: before.used + 1, limit: before.limit });
  });

  it("takes any exercise of the catalogue, once, whoever sends it twice", async () => {
    const body = { id: uuid(), exerciseId: "clam", variantId: "clam-30" };
    const path = `/api/episodes/${fencer}/items`;
    const replies = await Promise.all([one.post(path, body), two.post(path, body)]);
    expect(replies.map((r) => r.status)).toEqual([201, 201]);
    const { items } = await plan(two);
    expect(items.filter((item: PlanItem) => item.exerciseId === "clam")).toHaveLength(1);
    expect(paths(await add({ exerciseId: "clam", variantId: "clam-30" }))).toEqual(["/exerciseId"]);
  });

  it("with another dose and other knobs, within what the variant has", async () => {
    const variant = { exerciseId: "side-step-up", variantId: "side-step-up-held" };
    expect(paths(await add({ ...variant, settings: { "step-height": 400 } }))).toEqual([
      "/settings/step-height",
    ]);
    expect(paths(await add({ ...variant, settings: { wobble: 3 } }))).toEqual(["/settings/wobble"]);
    const dose = {
      style: "plyometric",
      policy: "contacts",
      sets: 3,
      contacts: { bottom: 6, top: 8 },
      restSeconds: 60,
      daysPerWeek: 2,
    };
    expect(paths(await add({ ...variant, dose }))).toContain("/dose/style");
    const against = "A step of 5 cm is what the fencing lunge begins with";
    const low = await add({ ...variant, settings: { "step-height": 5 }, against });
    expect(low.status).toBe(201);
    const item = low.body.plan.items.find((i: PlanItem) => i.exerciseId === "side-step-up");
    expect(item).toMatchObject({ prescription: { settings: { "step-height": 5 } }, harder: { to: 10 } });
    // The new item is judged, timed and can be worked like any other.
    const stair = (await one.get(`/api/episodes/${fencer}`)).body;
    expect(stair.items.map((i: { itemId: string }) => i.itemId)).toContain(item.itemId);
  });

  it("refuses what is not there, and what surgeon or stage forbid", async () => {
    expect(paths(await add({ exerciseId: "nothing", variantId: "x" }))).toEqual(["/exerciseId"]);
    expect(paths(await add({ exerciseId: "bridge", variantId: "clam-30" }))).toEqual(["/variantId"]);
    const squeeze = { exerciseId: "ball-squeeze", variantId: "ball-squeeze-bent" };
    await one.post(`/api/episodes/${fencer}/endings`, {
      id: uuid(),
      itemId: squeezeOf("fencer"),
      reason: "Starts again with another dose",
    });
    const hard = (await one.get("/api/exercises?text=ball%20squeeze")).body.hits[0].prescription.dose;
    const blocked = await add({
      ...squeeze,
      dose: { ...hard, effort: { lowPercent: 85, highPercent: 100 } },
    });
    expect(blocked.body.problems).toEqual([
      { path: "/variantId", problem: "is blocked: maximal squeezes wait for the next stage" },
    ]);
    expect((await add(squeeze)).status).toBe(201);
  });

  it("lets an item go with its reason; the record keeps what was done with it", async () => {
    const before = (await one.get(`/api/episodes/${fencer}/record`)).body;
    const { items } = await plan();
    const clam = items.find((item: PlanItem) => item.exerciseId === "clam");
    const ending = { id: uuid(), itemId: clam.itemId, reason: "Does not like it" };
    const path = `/api/episodes/${fencer}/endings`;
    expect((await assistant.post(path, ending)).status).toBe(403);
    expect(paths(await one.post(path, { ...ending, reason: " " }))).toContain("/reason");
    const ended = await one.post(path, ending);
    expect(ended.body.plan.items.map((i: PlanItem) => i.exerciseId)).not.toContain("clam");
    expect((await two.post(path, ending)).body).toMatchObject({ repeated: true });
    expect(paths(await one.post(path, { ...ending, id: uuid() }))).toEqual(["/itemId"]);
    expect((await one.get(`/api/episodes/${fencer}/record`)).body.items).toEqual(before.items);
    const session = {
      id: uuid(),
      occurredAt: "2026-03-10T09:00:00.000Z",
      painBefore: 0,
      items: [
        {
          itemId: clam.itemId,
          sets: [
            {
              side: "left",
              reps: 10,
              holdSeconds: 3,
              painDuring: 0,
              painSite: "episode",
              effort: 5,
              faults: [],
            },
          ],
        },
      ],
    };
    servers.setClock("2026-03-10T10:00:00.000Z");
    const late = await one.post(`/api/episodes/${fencer}/sessions`, {
      ...session,
      occurredAt: "2026-03-10T09:30:00.000Z",
    });
    expect(paths(late)).toEqual(["/items/0/itemId"]);
  });

  it("is changed only by somebody who may sign", async () => {
    expect((await add({ exerciseId: "row", variantId: "row-seated-band" }, assistant)).status).toBe(403);
    expect((await plan(assistant)).maySign).toBe(false);
  });
});
