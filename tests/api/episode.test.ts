import { engineVersion } from "~/core/decision/decide";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { demoPeople } from "~demo/people";
import { startServers, type Servers } from "~tests/harness/servers";
import { signedIn, type Client } from "~tests/harness/client";
import { fencer, skater, squeezeOf, squeezeSession } from "~tests/harness/story";

let servers: Servers;
/** The same clinician at two application processes. */
let one: Client;
let two: Client;

beforeAll(async () => {
  servers = await startServers(2);
  one = await signedIn(servers.urls[0] as string);
  two = one.at(servers.urls[1] as string);
});
afterAll(() => servers.stop());

const proposalOf = async (client: Client, episode: string, key: string, query = "") => {
  const { body } = await client.get(`/api/episodes/${episode}${query}`);
  return body.items.find((item: { itemId: string }) => item.itemId === squeezeOf(key));
};
const paths = (reply: { body: { problems?: { path: string }[] } }) =>
  reply.body.problems?.map((p) => p.path) ?? [];

describe("a session is refused, whole, with the field named", () => {
  const refused: [string, object, string][] = [
    ["pain 11", squeezeSession("fencer", { painBefore: 11 }), "/painBefore"],
    ["pain 2.5", squeezeSession("fencer", {}, { painDuring: 2.5 }), "/items/0/sets/0/painDuring"],
    ["−3 reps", squeezeSession("fencer", {}, { reps: -3 }), "/items/0/sets/0/reps"],
    ["5 000 N", squeezeSession("fencer", {}, { forceN: 5000 }), "/items/0/sets/0/forceN"],
    ["effort as text", squeezeSession("fencer", {}, { effort: "6" }), "/items/0/sets/0/effort"],
    ["a key too many", { ...squeezeSession("fencer"), note: "x" }, "/note"],
    ["no id", { ...squeezeSession("fencer"), id: undefined }, "/id"],
    ["the future", squeezeSession("fencer", { occurredAt: "2026-03-10T10:00:00Z" }), "/occurredAt"],
    ["before the injury", squeezeSession("fencer", { occurredAt: "2026-02-01T10:00:00Z" }), "/occurredAt"],
    [
      "an item of nobody's plan",
      squeezeSession("fencer", {
        items: [{ itemId: uuid(), sets: squeezeSession("fencer").items.flatMap((item) => item.sets) }],
      }),
      "/items/0/itemId",
    ],
    ["another patient's item", { ...squeezeSession("speed-skater") }, "/items/0/itemId"],
    [
      "one leg of work both legs share",
      squeezeSession("fencer", {}, { side: "left" }),
      "/items/0/sets/0/side",
    ],
    [
      "a hold without its seconds",
      squeezeSession("fencer", {}, { holdSeconds: undefined }),
      "/items/0/sets/0/holdSeconds",
    ],
    [
      "more spoiled reps than reps",
      squeezeSession("fencer", {}, { reps: 3, faults: [{ fault: "x", severity: "marked", reps: 5 }] }),
      "/items/0/sets/0/faults/0/reps",
    ],
  ];
  it.each(refused)("%s", async (_what, body, path) => {
    const before = (await one.get(`/api/episodes/${fencer}/record`)).body.entries.length;
    const reply = await one.post(`/api/episodes/${fencer}/sessions`, body);
    expect(reply.status).toBe(422);
    expect(reply.headers.get("content-type")).toContain("application/problem+json");
    expect(paths(reply)).toContain(path);
    expect((await one.get(`/api/episodes/${fencer}/record`)).body.entries).toHaveLength(before);
  });

  it("a body that is no JSON, of another type, or too large", async () => {
    const path = `/api/episodes/${fencer}/sessions`;
    expect((await one.send("POST", path, "{")).status).toBe(400);
    expect(
      (await one.send("POST", path, "x=1", { "content-type": "application/x-www-form-urlencoded" })).status,
    ).toBe(415);
    expect((await one.send("POST", path, `"${"x".repeat(300_000)}"`)).status).toBe(413);
    expect((await one.send("POST", path, `"${"x".repeat(4_000_000)}"`)).status).toBe(413);
    // Beyond what is read and thrown away the line is cut, before or after the answer has gone out.
    const cut = one.send("POST", path, `"${"x".repeat(9_000_000)}"`).then(
      ({ status }) => status,
      () => "cut",
    );
    expect([413, "cut"]).toContain(await cut);
  });

  it("a report before its session, or on the day itself", async () => {
    const report = (trainingDate: string) =>
      one.post(`/api/episodes/${fencer}/reports`, { id: uuid(), trainingDate, pain: 1 });
    expect(paths(await report("2026-03-09"))).toEqual(["/trainingDate"]);
    expect(paths(await report("2026-03-10"))).toEqual(["/trainingDate"]);
  });
});

describe("the worked story, through the endpoints of two processes", () => {
  const session = squeezeSession("fencer");

  it("day 16: monitored, 50–70 % of 180 N, one good day on record", async () => {
    const { body } = await one.get(`/api/episodes/${fencer}`);
    expect(body).toMatchObject({ daysSinceOnset: 16, stage: "isometric", school: "monitored" });
    const item = await proposalOf(one, fencer, "fencer");
    expect(item).toMatchObject({
      maximumN: 180,
      prescription: { dose: { effort: { lowPercent: 50, highPercent: 70 } } },
    });
    expect(item.proposal).toMatchObject({ outcome: "hold", rule: "run-too-short" });
  });

  it("the session is recorded once, however often it is sent and to whom", async () => {
    const path = `/api/episodes/${fencer}/sessions`;
    const [a, b] = await Promise.all([one.post(path, session), two.post(path, session)]);
    const c = await two.post(path, session);
    expect([a.status, b.status, c.status]).toEqual([201, 201, 201]);
    expect([a.body.repeated, b.body.repeated].sort()).toEqual([false, true]);
    expect(c.body).toMatchObject({ id: session.id, repeated: true });
    const { entries } = (await one.get(`/api/episodes/${fencer}/record`)).body;
    expect(
      entries.filter((e: { kind: string; session?: { id: string } }) => e.session?.id === session.id),
    ).toHaveLength(1);
  });

  it("the same id for another patient is refused", async () => {
    const reply = await one.post(
      `/api/episodes/${skater}/sessions`,
      squeezeSession("speed-skater", { id: session.id }),
    );
    expect(reply.status).toBe(409);
  });

  it("waits for the next day, and says so on the caseload", async () => {
    expect((await proposalOf(two, fencer, "fencer")).proposal).toMatchObject({
      outcome: "wait",
      rule: "wait-next-day",
    });
    const row = (await two.get("/api/caseload")).body.rows.find(
      (r: { episodeId: string }) => r.episodeId === fencer,
    );
    expect(row).toMatchObject({ attention: "wait" });
  });

  it("next morning, pain 1: step up, one knob, with the days that count", async () => {
    servers.setClock("2026-03-11T07:00:00Z");
    one = await signedIn(servers.urls[0] as string);
    two = one.at(servers.urls[1] as string);
    const report = await two.post(`/api/episodes/${fencer}/reports`, {
      id: uuid(),
      trainingDate: "2026-03-10",
      pain: 1,
    });
    expect(report.status).toBe(201);
    const { proposal } = await proposalOf(one, fencer, "fencer");
    expect(proposal).toMatchObject({
      outcome: "step-up",
      change: { kind: "knob", knob: "effort", from: "50-70", to: "70-85" },
    });
    expect(proposal.evidence.filter((e: { code: string }) => e.code === "good-day")).toHaveLength(2);
  });

  it("two sign at once: one signs, the other gets 409 and sees what changed", async () => {
    const { version } = (await one.get(`/api/episodes/${fencer}`)).body;
    const decision = () => ({
      id: uuid(),
      itemId: squeezeOf("fencer"),
      expectedVersion: version,
      action: "accept",
    });
    const path = `/api/episodes/${fencer}/decisions`;
    const replies = await Promise.all([one.post(path, decision()), two.post(path, decision())]);
    expect(replies.map((r) => r.status).sort()).toEqual([201, 409]);
    const loser = replies.find((r) => r.status === 409);
    expect(loser?.body).toMatchObject({
      type: "/problems/stale",
      changed: { lastDecision: { action: "accept", signedBy: "Jorun Vask" } },
    });
    expect(loser?.body.changed.proposal.outcome).not.toBe("step-up");
  });

  it("the plan shows the new dose; the record the proposal, its evidence, who and when", async () => {
    const item = await proposalOf(two, fencer, "fencer");
    expect(item.prescription.dose.effort).toEqual({ lowPercent: 70, highPercent: 85 });
    expect(item.proposal.outcome).toBe("hold");
    const { entries } = (await one.get(`/api/episodes/${fencer}/record`)).body;
    const [entry] = entries.filter((e: { kind: string }) => e.kind === "decision");
    expect(entry).toMatchObject({
      by: "Jorun Vask",
      // What was written before at the same tick of this standing clock comes milliseconds earlier.
      at: expect.stringMatching(/^2026-03-11T07:00:00\.00\dZ$/) as string,
      decision: {
        action: "accept",
        school: "monitored",
        proposal: { outcome: "step-up", engineVersion },
      },
    });
  });

  it("a late correction appends and is judged again", async () => {
    servers.setClock("2026-03-11T07:30:00Z");
    const reply = await one.post(`/api/episodes/${fencer}/reports`, {
      id: uuid(),
      trainingDate: "2026-03-10",
      pain: 5,
      swelling: "same",
    });
    expect(reply.status).toBe(201);
    expect((await proposalOf(one, fencer, "fencer")).proposal).toMatchObject({
      outcome: "ease",
      rule: "ease-flare",
    });
  });
});

describe("a stopped item", () => {
  const stopped = demoPeople.find((person) => person.profile.pinchOn !== undefined);
  it("is cleared only in writing, and only by somebody who may sign", async () => {
    const { rows } = (await one.get("/api/caseload")).body;
    const row = rows.find(
      (r: { person: { familyName: string } }) => r.person.familyName === stopped?.familyName,
    );
    const stopFirst = rows.map((r: { attention: string }) => r.attention === "stop");
    expect(stopFirst.lastIndexOf(true)).toBeLessThan(stopFirst.indexOf(false));
    expect(row.attention).toBe("stop");
    const view = (await one.get(`/api/episodes/${row.episodeId}`)).body;
    const item = view.items.find((i: { proposal: { outcome: string } }) => i.proposal.outcome === "stop");
    const path = `/api/episodes/${row.episodeId}/clearances`;
    const body = {
      id: uuid(),
      itemId: item.itemId,
      reason: "Examined: no pinch in flexion and rotation today",
    };
    const assistant = await signedIn(servers.urls[0] as string, "assistant");
    expect((await assistant.post(path, body)).status).toBe(403);
    const harder = {
      id: uuid(),
      itemId: item.itemId,
      expectedVersion: view.version,
      action: "change",
      reason: "want to",
    };
    const knob = item.alternatives.find((a: { direction: string }) => a.direction === "harder")?.knob;
    const blocked = await one.post(`/api/episodes/${row.episodeId}/decisions`, {
      ...harder,
      alternative: { direction: "harder", kind: "knob", knob },
    });
    expect(paths(blocked)).toEqual(["/alternative"]);
    const cleared = await one.post(path, body);
    expect(cleared.status).toBe(201);
    const after = cleared.body.stair.items.find((i: { itemId: string }) => i.itemId === item.itemId);
    expect(after.proposal.outcome).not.toBe("stop");
    expect((await one.post(path, { ...body, id: uuid() })).status).toBe(422);
  });
});

it("an assistant records, and may not sign", async () => {
  const assistant = await signedIn(servers.urls[0] as string, "assistant");
  const view = (await assistant.get(`/api/episodes/${fencer}`)).body;
  expect(view.maySign).toBe(false);
  const decision = {
    id: uuid(),
    itemId: squeezeOf("fencer"),
    expectedVersion: view.version,
    action: "accept",
  };
  expect((await assistant.post(`/api/episodes/${fencer}/decisions`, decision)).status).toBe(403);
  const session = squeezeSession("fencer", { occurredAt: "2026-03-11T06:50:00Z" });
  expect((await assistant.post(`/api/episodes/${fencer}/sessions`, session)).status).toBe(201);
});

it("the exported case file gives the same review at the calculation's endpoint", async () => {
  const file = (await one.get(`/api/episodes/${fencer}/case`)).body;
  const review = await one.post("/api/calc/case", file);
  expect(review.status).toBe(200);
  const proposals = (await one.get(`/api/episodes/${fencer}`)).body.items.map(
    (i: { proposal: object }) => i.proposal,
  );
  expect(review.body.items.map((i: { proposal: object }) => i.proposal)).toEqual(proposals);
});
