import mysql from "mysql2/promise";
import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { someIntake } from "~tests/builders/intake";
import { Client, signedIn, type Reply } from "~tests/harness/client";
import { startServers, type Servers } from "~tests/harness/servers";

/** Stop signals belong to the person, and stay until a clinician clears them in writing. */
let servers: Servers;
let client: Client;
let assistant: Client;
let knee: string;
let bridge: string;
/** The demo's clock, which stands still until a test moves it. */
let now: string;

beforeAll(async () => {
  servers = await startServers(1);
  client = await signedIn(servers.urls[0] as string);
  assistant = await signedIn(servers.urls[0] as string, "assistant");
});
beforeEach(() => {
  now = "2026-03-10T09:00:00.000Z";
  servers.setClock(now);
});
afterAll(() => servers.stop());

const intakeOf = (id: string, over: object = {}, intake: object = {}) => ({
  id,
  intake: someIntake("kneecap-pain", intake),
  stage: "capacity",
  reason: "Walks and climbs stairs without pain",
  items: [{ id: uuid(), exerciseId: "bridge", variantId: "bridge-two-legs" }],
  ...over,
});
beforeEach(async () => {
  knee = uuid();
  bridge = uuid();
  const items = [{ id: bridge, exerciseId: "bridge", variantId: "bridge-two-legs" }];
  const reply = await client.post("/api/intakes", intakeOf(knee, { items }));
  expect(reply.body.problems ?? []).toEqual([]);
});

const at = (what: string, id = knee) => `/api/episodes/${id}/${what}`;
const problems = ({ body }: Reply) => (body.problems ?? []).map((p: { path: string }) => p.path);
const outcomeOf = (
  stair: { items: { itemId: string; exercise: { id: string }; proposal: object }[] },
  exercise: string,
) => stair.items.find((item) => item.exercise.id === exercise)?.proposal;
const stairOf = async (id = knee) => (await client.get(`/api/episodes/${id}`)).body;
const set = (over: object = {}) => ({
  side: "both",
  reps: 10,
  painDuring: 0,
  painSite: "episode",
  effort: 5,
  faults: [],
  ...over,
});
const session = (itemId: string, over: object = {}, setOver: object = {}) => ({
  id: uuid(),
  occurredAt: now,
  painBefore: 0,
  items: [{ itemId, sets: [set(setOver)] }],
  ...over,
});
const blocked = { limit: { kind: "block" } };
const addSqueeze = () =>
  client.post(at("items"), { id: uuid(), exerciseId: "ball-squeeze", variantId: "ball-squeeze-bent" });

describe("a block written down in a session", () => {
  it("is not lifted by correcting the session, whoever corrects it; only in writing", async () => {
    const first = session(bridge, {}, blocked);
    await client.post(at("sessions"), first);
    expect(outcomeOf(await stairOf(), "bridge")).toMatchObject({ outcome: "stop" });
    const corrected = await assistant.post(at("sessions"), session(bridge, { supersedes: first.id }));
    expect(corrected.status).toBe(201);
    expect(outcomeOf(await stairOf(), "bridge")).toMatchObject({ outcome: "stop" });
    const clearing = { id: uuid(), itemId: bridge, reason: "Examined: no block, good movement" };
    expect((await assistant.post(at("clearances"), clearing)).status).toBe(403);
    const cleared = await client.post(at("clearances"), clearing);
    expect(cleared.status).toBe(201);
    expect(outcomeOf(cleared.body.stair, "bridge")).not.toMatchObject({ outcome: "stop" });
  });

  it("comes back with the exercise when it is taken out and added again", async () => {
    await client.post(at("sessions"), session(bridge, {}, blocked));
    await client.post(at("endings"), { id: uuid(), itemId: bridge, reason: "Taken out" });
    const again = { id: uuid(), exerciseId: "bridge", variantId: "bridge-two-legs" };
    expect((await client.post(at("items"), again)).status).toBe(201);
    expect(outcomeOf(await stairOf(), "bridge")).toMatchObject({ outcome: "stop" });
  });

  it("of the other leg stops as well", async () => {
    const itemId = uuid();
    const added = { id: itemId, exerciseId: "single-leg-stance", variantId: "stance-single-held" };
    expect((await client.post(at("items"), added)).body.problems ?? []).toEqual([]);
    const held = { reps: undefined, holdSeconds: 20 };
    const sets = [set({ side: "left", ...held }), set({ side: "right", ...held, ...blocked })];
    const recorded = await client.post(at("sessions"), session(itemId, { items: [{ itemId, sets }] }));
    expect(recorded.body.problems ?? []).toEqual([]);
    expect(outcomeOf(await stairOf(), "single-leg-stance")).toMatchObject({ outcome: "stop" });
  });
});

describe("a signal that halts everything", () => {
  const raise = (code: string, id = knee) => client.post(at("signals", id), { id: uuid(), code });

  it("lets nothing be added, closes the gate, and no override opens it", async () => {
    await raise("calf-hot");
    const refused = await addSqueeze();
    expect(refused.status).toBe(422);
    expect(JSON.stringify(refused.body.problems)).toContain("stop signal");
    const gate = (await client.get(at("gate"))).body;
    expect(gate.gate).toMatchObject({ outcome: "closed", rule: "gate-stop", halts: ["calf-hot"] });
    const next = gate.stages[2].code;
    const move = { id: uuid(), expectedVersion: gate.version, stage: next };
    for (const action of ["pass", "override"])
      expect(
        problems(await client.post(at("gate"), { ...move, action, reason: "It looks fine to me" })),
      ).toEqual(["/action"]);
  });

  it("lets nothing be made harder, in whatever it does not suspend either", async () => {
    await raise("groin-hop-night");
    const stair = await stairOf();
    expect(outcomeOf(stair, "bridge")).toMatchObject({ outcome: "hold", rule: "signal-open" });
    const harder = stair.items[0].alternatives.find(
      (a: { direction: string; blockedBy: string | null }) =>
        a.direction === "harder" && a.blockedBy === null,
    );
    const change = {
      id: uuid(),
      itemId: bridge,
      expectedVersion: stair.version,
      action: "change",
      reason: "It went so well",
      alternative: { direction: harder.direction, kind: harder.kind, knob: harder.knob },
    };
    expect(problems(await client.post(at("decisions"), change))).toEqual(["/alternative"]);
  });

  it("follows the person into a second episode, and is cleared where it was raised", async () => {
    const second = uuid();
    const items = [{ id: uuid(), exerciseId: "bridge", variantId: "bridge-two-legs" }];
    expect((await client.post("/api/intakes", intakeOf(second, { beside: knee, items }))).status).toBe(201);
    expect((await stairOf(second)).signals).toEqual([]);
    const raised = await raise("calf-hot");
    const signalId = raised.body.stair.signals[0].id;
    const there = await stairOf(second);
    expect(there.signals).toMatchObject([{ code: "calf-hot", elsewhere: { episodeId: knee } }]);
    expect(outcomeOf(there, "bridge")).toMatchObject({ outcome: "stop" });
    const clearing = { id: uuid(), signalId, reason: "Scan without a clot" };
    expect(problems(await client.post(at("signal-clearances", second), clearing))).toEqual(["/signalId"]);
    expect((await client.post(at("signal-clearances"), { ...clearing, id: uuid() })).status).toBe(201);
    expect((await stairOf(second)).signals).toEqual([]);
    expect(outcomeOf(await stairOf(second), "bridge")).not.toMatchObject({ outcome: "stop" });
  });

  it("a block that was told on a phone stops the exercise in the other episode too", async () => {
    const second = uuid();
    const items = [{ id: uuid(), exerciseId: "bridge", variantId: "bridge-two-legs" }];
    expect((await client.post("/api/intakes", intakeOf(second, { beside: knee, items }))).status).toBe(201);
    const { token } = (await client.post(at("phones"), undefined)).body as { token: string };
    const phone = new Client(servers.urls[0] as string);
    expect((await phone.post("/api/phone/openings", { token })).status).toBe(200);
    const told = {
      ...session(bridge, { id: uuid(), sentAt: now }, { limit: { kind: "block" } }),
      occurredAt: now,
    };
    const reply = await phone.post("/api/phone/sessions", told);
    expect(reply.body.problems ?? []).toEqual([]);
    const there = await stairOf(second);
    expect(there.signals).toMatchObject([{ code: "pinch-or-block", elsewhere: { episodeId: knee } }]);
    expect(outcomeOf(there, "bridge")).toMatchObject({ outcome: "stop" });
  });

  it("keeps a second episode from beginning", async () => {
    await raise("infection");
    expect(problems(await client.post("/api/intakes", intakeOf(uuid(), { beside: knee })))).toEqual([
      "/beside",
    ]);
  });

  it("a block of one episode stops the same exercise in the other, until it is cleared", async () => {
    const second = uuid();
    const items = [{ id: uuid(), exerciseId: "bridge", variantId: "bridge-two-legs" }];
    await client.post("/api/intakes", intakeOf(second, { beside: knee, items }));
    await client.post(at("sessions"), session(bridge, {}, blocked));
    expect(outcomeOf(await stairOf(second), "bridge")).toMatchObject({ outcome: "stop" });
    await client.post(at("clearances"), { id: uuid(), itemId: bridge, reason: "Examined, free movement" });
    expect(outcomeOf(await stairOf(second), "bridge")).not.toMatchObject({ outcome: "stop" });
  });
});

describe("a signal raised by a slip of the finger", () => {
  it("is taken back within a minute by who raised it, and both stay in the record", async () => {
    const raised = await assistant.post(at("signals"), { id: uuid(), code: "calf-hot" });
    const [signal] = raised.body.stair.signals;
    expect(signal).toMatchObject({ mayTakeBack: true });
    const body = { id: uuid(), signalId: signal.id };
    expect(problems(await client.post(at("signals-taken-back"), { ...body, id: uuid() }))).toEqual([
      "/signalId",
    ]);
    const back = await assistant.post(at("signals-taken-back"), body);
    expect(back.status).toBe(201);
    expect(back.body.stair.signals).toEqual([]);
    const { entries } = (await client.get(at("record"))).body;
    expect(entries.find((e: { kind: string }) => e.kind === "signal")).toMatchObject({
      code: "calf-hot",
      cleared: { reason: expect.stringContaining("by mistake") },
    });
  });

  it("not by somebody else of the same name", async () => {
    const db = await mysql.createConnection({ uri: servers.database.ownerUrl });
    const rename = (name: string) => db.query("UPDATE staff SET name = ? WHERE role = 'assistant'", [name]);
    const [[kept]] = await db.query<mysql.RowDataPacket[]>(
      "SELECT (SELECT name FROM staff WHERE role = 'assistant' LIMIT 1) AS assistant, name FROM staff WHERE email = 'clinician@tarnstreet.example'",
    );
    await rename(String(kept?.["name"]));
    const raised = await assistant.post(at("signals"), { id: uuid(), code: "calf-hot" });
    const signalId = raised.body.stair.signals[0].id;
    expect(problems(await client.post(at("signals-taken-back"), { id: uuid(), signalId }))).toEqual([
      "/signalId",
    ]);
    await rename(String(kept?.["assistant"]));
    await db.end();
  });

  it("but not later", async () => {
    const raised = await client.post(at("signals"), { id: uuid(), code: "calf-hot" });
    const signalId = raised.body.stair.signals[0].id;
    servers.setClock(new Date(Date.parse(now) + 61_000).toISOString());
    expect((await stairOf()).signals[0]).toMatchObject({ mayTakeBack: false });
    expect(problems(await client.post(at("signals-taken-back"), { id: uuid(), signalId }))).toEqual([
      "/signalId",
    ]);
  });
});

describe("a red flag that was ticked at intake and is not any more", () => {
  const id = () => uuid();
  it("asks why, and stands in the record with who and why", async () => {
    const episode = id();
    const body = intakeOf(episode);
    const flagged = { ...body.intake, redFlags: ["calf-hot"] };
    const stopped = await assistant.post("/api/intakes/placing", { id: episode, intake: flagged });
    expect(stopped.body.type).toContain("red-flag");
    expect(problems(await client.post("/api/intakes", body))).toEqual(["/intake/unticked"]);
    const unticked = [{ code: "calf-hot", reason: "Ticked in the wrong line; calf is cool and soft" }];
    const signed = await client.post("/api/intakes", { ...body, intake: { ...body.intake, unticked } });
    expect(signed.status).toBe(201);
    const { entries } = (await client.get(at("record", episode))).body;
    expect(entries.find((e: { kind: string }) => e.kind === "signal")).toMatchObject({
      code: "calf-hot",
      note: expect.stringContaining("Ticked at intake"),
      cleared: { reason: unticked[0]?.reason },
    });
    expect((await stairOf(episode)).signals).toEqual([]);
  });

  it("is seen in a kept draft too", async () => {
    const episode = id();
    await client.post("/api/intakes/drafts", {
      id: episode,
      label: "R. T.",
      body: { redFlags: ["infection"] },
    });
    await client.post("/api/intakes/drafts", { id: episode, label: "R. T.", body: { redFlags: [] } });
    expect(problems(await client.post("/api/intakes", intakeOf(episode)))).toEqual(["/intake/unticked"]);
  });
});

describe("a stage beyond the one proposed, at intake", () => {
  it("is past a closed gate: with a reason in words, and for ever shown with what was not met", async () => {
    const id = uuid();
    const body = intakeOf(id);
    for (const reason of [undefined, "abc", "   "])
      expect(problems(await client.post("/api/intakes", { ...body, reason }))).toContain("/reason");
    expect((await client.post("/api/intakes", body)).status).toBe(201);
    const { moves } = (await client.get(at("gate", id))).body;
    expect(moves[0]).toMatchObject({
      kind: "override",
      unmet: expect.arrayContaining(["Pain in a low step-down"]),
    });
  });

  it("never lies after an operation that has not been done", async () => {
    const surgery = { on: "2026-04-10", procedure: "cruciate ligament reconstruction", graft: "hamstring" };
    const intake = someIntake("ligament-reconstruction", { surgery });
    const body = { ...intakeOf(uuid()), intake, stage: "recover" };
    expect(problems(await client.post("/api/intakes", body))).toContain("/stage");
  });
});
