import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { importCase } from "~/core/case/import-case";
import type { PlanItem } from "~/contract/plan";
import { startServers, type Servers } from "~tests/harness/servers";
import { signedIn, type Client, type Reply } from "~tests/harness/client";
import { fencer, squeezeOf } from "~tests/harness/story";

let servers: Servers;
let one: Client;
let assistant: Client;

beforeAll(async () => {
  servers = await startServers(2);
  one = await signedIn(servers.urls[0] as string);
  assistant = await signedIn(servers.urls[1] as string, "assistant");
});
afterAll(() => servers.stop());

const path = `/api/episodes/${fencer}`;
const said = (reply: Reply) =>
  (reply.body.problems ?? []).map((p: { path: string; problem: string }) => `${p.path} ${p.problem}`);
const plan = async (): Promise<PlanItem[]> => (await one.get(`${path}/plan`)).body.items;
const add = (body: object) => one.post(`${path}/items`, { id: uuid(), exerciseId: "clam", ...body });
const arrange = (body: object, client = one) => client.post(`${path}/arrangements`, { id: uuid(), ...body });
const squeeze = squeezeOf("fencer");

describe("one exercise in several settings", () => {
  it("another variant, another knob, another role; the same twice is refused", async () => {
    expect((await add({ variantId: "clam-30" })).status).toBe(201);
    expect((await add({ variantId: "clam-60" })).status).toBe(201);
    expect(said(await add({ variantId: "clam-60" }))).toEqual([
      "/exerciseId is in the plan already with this setting",
    ]);
    expect((await add({ variantId: "clam-30", role: "primer" })).status).toBe(201);
    const clams = (await plan()).filter(({ exerciseId }) => exerciseId === "clam");
    expect(new Set(clams.map(({ name }) => name)).size).toBe(3);
    expect(clams.map(({ role }) => role)).toEqual(["main", "main", "primer"]);
    // The stair and the record call them the same.
    const stair = (await one.get(path)).body.items.map((item: { name: string }) => item.name);
    expect(stair).toEqual((await plan()).map(({ name }) => name));
    const { body } = await one.get(`${path}/record`);
    const named = body.items.map((item: { name: string }) => item.name);
    for (const { name } of clams) expect(named).toContain(name);
  });

  it("a primer's next step is not made, whatever its record; by hand it does not become its twin", async () => {
    const clams = (await plan()).filter(({ exerciseId }) => exerciseId === "clam");
    const [thirty, sixty] = clams;
    const { version } = (await one.get(path)).body;
    const twin = await one.post(`${path}/decisions`, {
      id: uuid(),
      itemId: thirty?.itemId,
      expectedVersion: version,
      action: "change",
      prescription: sixty?.prescription,
      reason: "To see whether the same can stand twice",
    });
    expect(said(twin)).toEqual([
      "/prescription/settings stand in the plan already as an exercise of their own",
    ]);
    const primer = (await one.get(path)).body.items.find((item: PlanItem) => item.role === "primer");
    expect(primer.proposal.evidence.map(({ code }: { code: string }) => code)).toContain("role-kept");
  });
});

describe("order, roles and circuits", () => {
  it("are signed as one, shown everywhere, and a circuit takes less time than its exercises alone", async () => {
    const before = await plan();
    const alone = (await one.get(`${path}/plan`)).body.time.minutes;
    const ids = before.map(({ itemId }) => itemId).reverse();
    const [first = "", second = ""] = ids;
    const entries = ids.map((itemId) => ({ itemId, role: itemId === squeeze ? "optional" : "main" }));
    // Two clams are one setting in two roles: both may not be main.
    const twins = await arrange({ entries, circuits: [] });
    expect(said(twins)[0]).toMatch(/^\/entries\/\d+\/role stands in the plan with this setting already$/);
    const kept = before.find(({ role }) => role === "primer")?.itemId;
    const roles = entries.map((entry) => (entry.itemId === kept ? { ...entry, role: "primer" } : entry));
    const body = { id: uuid(), entries: roles, circuits: [{ items: [first, second], restSeconds: 20 }] };
    const signed = await one.post(`${path}/arrangements`, body);
    expect(signed.status).toBe(201);
    expect((await one.post(`${path}/arrangements`, body)).body.repeated).toBe(true);
    const after = await plan();
    expect(after.map(({ itemId }) => itemId)).toEqual(ids);
    expect(after.map(({ circuit }) => circuit?.number ?? null).slice(0, 3)).toEqual([1, 1, null]);
    expect(after.find(({ itemId }) => itemId === squeeze)?.role).toBe("optional");
    expect((await one.get(path)).body.items.map((item: PlanItem) => item.itemId)).toEqual(ids);
    expect(signed.body.plan.time.minutes).toBeLessThan(alone);
  });

  it("wrong ones are told at the field, and nothing changes", async () => {
    const ids = (await plan()).map(({ itemId }) => itemId);
    const entries = ids.map((itemId) => ({ itemId, role: "main" }));
    const [a = "", , c = ""] = ids;
    for (const [body, field] of [
      [{ entries: entries.slice(1), circuits: [] }, "/entries "],
      [
        { entries: [...entries, { itemId: uuid(), role: "main" }], circuits: [] },
        `/entries/${ids.length}/itemId`,
      ],
      [{ entries, circuits: [{ items: [a, c], restSeconds: 20 }] }, "/circuits/0/items is torn"],
      [{ entries, circuits: [{ items: [a], restSeconds: 20 }] }, "/circuits/0/items needs two"],
      [{ entries, circuits: [{ items: ids, restSeconds: -5 }] }, "/circuits/0/restSeconds"],
      [{ entries: [{ itemId: a, role: "star" }], circuits: [] }, "/entries/0/role"],
    ] as const) {
      const reply = await arrange(body);
      expect(reply.status).toBe(422);
      expect(said(reply).some((line: string) => line.startsWith(field))).toBe(true);
    }
    expect((await plan()).map(({ itemId }) => itemId)).toEqual(ids);
    expect((await arrange({ entries, circuits: [] }, assistant)).status).toBe(403);
  });

  it("stand in the case file, which reads back and judges the same", async () => {
    const file = (await one.get(`${path}/case`)).body;
    expect(file.arrangements).toHaveLength(1);
    expect(file.items.map((item: { role?: string }) => item.role)).toContain("primer");
    expect(importCase(JSON.stringify(file)).ok).toBe(true);
    const broken = {
      ...file,
      arrangements: [{ ...file.arrangements[0], entries: [{ itemId: "x", role: "main" }] }],
    };
    const refused = importCase(JSON.stringify(broken));
    expect(refused.ok ? [] : refused.problems.map((p) => p.path)).toEqual([
      "/arrangements/0/entries/0/itemId",
    ]);
  });

  it("what leaves the plan ends a circuit of two", async () => {
    const [first] = await plan();
    await one.post(`${path}/endings`, { id: uuid(), itemId: first?.itemId, reason: "not wanted any more" });
    expect((await plan()).every(({ circuit }) => circuit === null)).toBe(true);
  });
});

describe("a heavy squat", () => {
  const unprimed = async () => (await one.get(`${path}/plan`)).body.unprimed;
  it("that nothing primes is offered its light form, which joins as a primer", async () => {
    const heavy = await add({
      exerciseId: "two-leg-squat",
      variantId: "squat-bar",
      meant: true,
      against: "Squats at work all day",
    });
    expect([heavy.status, said(heavy)]).toEqual([201, []]);
    const [offer] = await unprimed();
    expect(offer).toMatchObject({
      exerciseId: "two-leg-squat",
      primer: { dose: { sets: 2, policy: "fixed" } },
    });
    const { variantId, settings, dose } = offer.primer;
    const primer = await add({
      exerciseId: "two-leg-squat",
      variantId,
      settings,
      dose,
      role: "primer",
      meant: true,
      against: "Squats at work all day",
    });
    expect([primer.status, said(primer)]).toEqual([201, []]);
    expect(await unprimed()).toEqual([]);
  });
});
