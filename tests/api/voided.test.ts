import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import type { RecordEntry, RecordView } from "~/contract/record";
import { signedIn, type Client } from "~tests/harness/client";
import { startServers, type Servers } from "~tests/harness/servers";
import { fencer, skater, squeezeSession } from "~tests/harness/story";

/** What was written into the wrong record is taken out of the judgement, and stays to be read. */
let servers: Servers;
let client: Client;
let assistant: Client;

beforeAll(async () => {
  servers = await startServers(1);
  client = await signedIn(servers.urls[0] as string);
  assistant = await signedIn(servers.urls[0] as string, "assistant");
});
afterAll(() => servers.stop());

type Of<K extends RecordEntry["kind"]> = Extract<RecordEntry, { kind: K }>;
const record = async (id: string) => (await client.get(`/api/episodes/${id}/record`)).body as RecordView;
const entries = async <K extends RecordEntry["kind"]>(id: string, kind: K) =>
  (await record(id)).entries.filter((entry): entry is Of<K> => entry.kind === kind);
const stair = async (id: string) => (await client.get(`/api/episodes/${id}`)).body;
const file = async (id: string) => (await client.get(`/api/episodes/${id}/case`)).body;
const put = (kind: string, targetId: string, id = fencer, by = client) =>
  by.post(`/api/episodes/${id}/voidings`, { id: uuid(), kind, targetId, reason: "Another patient's" });

describe("a session", () => {
  it("recorded into the wrong record leaves the proposals as they were before it", async () => {
    const before = await stair(fencer);
    const wrong = squeezeSession("fencer", { painBefore: 6 }, { forceN: 118 });
    await client.post(`/api/episodes/${fencer}/sessions`, wrong);
    expect((await stair(fencer)).items).not.toEqual(before.items);
    const reply = await put("session", wrong.id);
    expect(reply.status).toBe(201);
    expect(reply.body.stair.items).toEqual(before.items);
    const entry = (await entries(fencer, "session")).find(({ session }) => session.id === wrong.id);
    expect(entry?.voided).toMatchObject({ reason: "Another patient's", by: "Jorun Vask" });
  });
  it("cannot be voided twice, nor from another record, nor by somebody who may not sign", async () => {
    const session = squeezeSession("fencer", { painBefore: 1 }, { forceN: 110 });
    await client.post(`/api/episodes/${fencer}/sessions`, session);
    expect((await put("session", session.id, skater)).body.problems).toEqual([
      { path: "/targetId", problem: "is not in this patient's record" },
    ]);
    expect((await put("session", session.id, fencer, assistant)).status).toBe(403);
    expect((await put("session", session.id)).status).toBe(201);
    expect((await put("session", session.id)).body.problems).toEqual([
      { path: "/targetId", problem: "is voided already" },
    ]);
  });
  it("written down twice is noticed until one of the two is voided", async () => {
    const [one, other] = [0, 1].map(() => squeezeSession("fencer", { painBefore: 1 }, { forceN: 110 }));
    for (const session of [one, other]) await client.post(`/api/episodes/${fencer}/sessions`, session);
    const noticed = async () =>
      (await entries(fencer, "session")).filter(({ alsoIn }) => alsoIn.length > 0).map((e) => e.session.id);
    expect((await noticed()).sort()).toEqual([one?.id, other?.id].sort());
    await put("session", other?.id as string);
    expect(await noticed()).toEqual([]);
  });
  it("goes into the case file and out of it with its voiding", async () => {
    const { sessions } = await file(fencer);
    expect(sessions.filter((s: { voided?: object }) => s.voided).length).toBeGreaterThan(0);
  });
});

describe("the rest of the record", () => {
  it("a report that was meant for somebody else counts no more, and the one before it does", async () => {
    const [report] = await entries(skater, "report");
    expect(report).toBeDefined();
    const body = { id: uuid(), trainingDate: report?.trainingDate, pain: 9 };
    expect((await client.post(`/api/episodes/${skater}/reports`, body)).status).toBe(201);
    const said = async () => {
      const { reports } = await file(skater);
      return reports.filter((r: { voided?: object }) => !r.voided).at(-1).pain;
    };
    expect(await said()).toBe(9);
    expect((await put("report", body.id, skater)).status).toBe(201);
    expect(await said()).toBe(report?.pain);
    const now = (await entries(skater, "report")).find(({ id }) => id === report?.id);
    expect(now).toMatchObject({ corrected: false, voided: null });
  });
  it("a result leaves gate and measures; its trend too", async () => {
    const [visit] = await entries(fencer, "measures");
    const one = visit?.results.find(({ corrected, voided }) => !corrected && !voided);
    const { id, measure } = one?.result ?? { id: "", measure: "" };
    const points = async () =>
      (await client.get(`/api/episodes/${fencer}/trend?measure=${measure}`)).body.points.length;
    const before = await points();
    expect((await put("result", id)).status).toBe(201);
    expect(await points()).toBe(before - 1);
    const after = (await entries(fencer, "measures")).flatMap(({ results }) => results);
    expect(after.find(({ result }) => result.id === id)?.voided?.reason).toBe("Another patient's");
  });
  it("a note is struck through and can be written again from its own words", async () => {
    const id = uuid();
    const note = { id, kind: "visit-note", body: "For another patient", proposed: "proposed" };
    await client.post(`/api/episodes/${fencer}/documents`, note);
    const page = await client.get(`/episodes/${fencer}/document?kind=visit-note&from=${id}`);
    expect(page.body).toContain("For another patient");
    expect((await client.get(`/episodes/${skater}/document?kind=visit-note&from=${id}`)).status).toBe(404);
    expect((await put("document", id, skater)).status).toBe(422);
    expect((await put("document", id)).status).toBe(201);
    const [entry] = await entries(fencer, "document");
    expect(entry?.voided?.by).toBe("Jorun Vask");
  });
});
