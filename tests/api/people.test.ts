import { beforeAll, describe, expect, it } from "vitest";
import { demoPassword } from "~demo/clinic";
import { v7 as uuid } from "uuid";
import { at, atClinic, begin } from "~tests/harness/at-clinic";
import { Client } from "~tests/harness/client";
import { addForeignClinic, foreignEmail } from "~tests/harness/foreign-clinic";

/** The people of the clinic: found again by name or year of birth. */
const clinic = atClinic({ own: true });

const find = async (text: string, who = clinic.client): Promise<string[]> => {
  const { status, body } = await who.post("/api/people/search", { text });
  expect(status).toBe(200);
  return body.people.map(
    ({ person }: { person: { givenName: string; familyName: string } }) =>
      `${person.givenName} ${person.familyName}`,
  );
};

describe("people are found", () => {
  it("by parts of a name, in any case and order, and by the year of birth", async () => {
    expect(await find("holloway")).toEqual(["Casimir Holloway"]);
    expect(await find("OLLOW casim")).toEqual(["Casimir Holloway"]);
    expect(await find("1992")).toEqual(["Ragnhild Osterby", "Mirela Stanhope"]);
    expect(await find("stan 1992")).toEqual(["Mirela Stanhope"]);
    expect(await find("stan 1993")).toEqual([]);
    expect(await find("nobody of this name")).toEqual([]);
  });

  it("signs that a pattern of the database would take for itself are letters", async () => {
    for (const text of ["%", "_", "\\", "a%y", "' OR 1=1 --"]) expect(await find(text)).toEqual([]);
  });

  it("with what is wrong and when they were born; twelve at most", async () => {
    const { body } = await clinic.client.post("/api/people/search", { text: "quenneville" });
    expect(body.people).toEqual([
      {
        episodeId: expect.any(String),
        person: { givenName: "Bertil", familyName: "Quenneville", activity: "Retired stage hand" },
        birthYear: 1960,
        diagnosis: "Adductor strain, lifting a flight case",
        involvedSide: "left",
        state: "active",
      },
    ]);
    expect(await find("a")).toHaveLength(12);
  });

  it("an empty question and a long one are refused at the field", async () => {
    for (const text of ["", "   ", "x".repeat(81)]) {
      const { status, body } = await clinic.client.post("/api/people/search", { text });
      expect(status).toBe(422);
      expect(body.problems).toMatchObject([{ path: "/text" }]);
    }
  });
});

describe("the life of an episode", () => {
  let id: string;
  const turn = (kind: string, extra: object = {}, who = clinic.client) =>
    who.post(at(id, "turns"), { id: uuid(), kind, reason: `Because of ${kind}`, ...extra });
  const isOnCaseload = async () =>
    (await clinic.client.get("/api/caseload")).body.rows.some(
      (row: { episodeId: string }) => row.episodeId === id,
    );
  const school = () =>
    clinic.client.post(at(id, "school"), { id: uuid(), school: "pain-free", reason: "Anxious about pain" });
  const frame = async () => (await clinic.client.get(at(id, "frame"))).body;

  it("paused it leaves the caseload, is found by name, and says since when and why", async () => {
    id = await begin(clinic, ["kneecap-pain", "capacity", "bridge-two-legs"], {
      person: { givenName: "Runa", familyName: "Restrup", bornOn: "1981-05-06", activity: "Gardener" },
    });
    expect(await isOnCaseload()).toBe(true);
    const paused = await turn("pause");
    expect(paused.status).toBe(201);
    expect(paused.body.frame).toMatchObject({ state: "paused", resting: { reason: "Because of pause" } });
    expect(await isOnCaseload()).toBe(false);
    const { body } = await clinic.client.post("/api/people/search", { text: "restrup" });
    expect(body.people).toMatchObject([{ episodeId: id, state: "paused" }]);
  });

  it("nothing is recorded or signed in it meanwhile; an alarm and a letter are", async () => {
    const { status, body } = await school();
    expect([status, body.type]).toEqual([409, "/problems/episode-paused"]);
    expect(body.title).toContain("Take it up again first");
    const alarm = { id: uuid(), code: "calf-hot", note: "rang from the holiday" };
    expect((await clinic.client.post(at(id, "signals"), alarm)).status).toBe(201);
    const letter = { id: uuid(), kind: "handover-letter", body: "Dear colleague", proposed: "Dear" };
    expect((await clinic.client.post(at(id, "documents"), letter)).status).toBe(201);
  });

  it("only what can follow is signed, by who may sign", async () => {
    for (const kind of ["pause", "reopen"]) {
      const { status, body } = await turn(kind);
      expect([status, body.problems]).toEqual([422, [{ path: "/kind", problem: "the episode is paused" }]]);
    }
    expect((await turn("resume", {}, clinic.assistant)).status).toBe(403);
    expect((await turn("resume", { summary: "All well" })).body.problems).toEqual([
      { path: "/summary", problem: "is written on a discharge only" },
    ]);
    expect((await turn("resume")).status).toBe(201);
    expect(await frame()).toMatchObject({ state: "active", resting: null });
    expect((await school()).status).toBe(201);
    expect(await isOnCaseload()).toBe(true);
  });

  it("discharged with a summary, found again among the closed, opened again; the record keeps all of it", async () => {
    const summary = "Climbs stairs without pain; bridges go on at home, twice a week.";
    const body = { id: uuid(), kind: "discharge", reason: "Goals reached", summary };
    const first = await clinic.client.post(at(id, "turns"), body);
    const again = await clinic.client.post(at(id, "turns"), body);
    expect([first.status, first.body.repeated, again.body.repeated]).toEqual([201, false, true]);
    expect((await school()).body.type).toBe("/problems/episode-closed");
    expect((await clinic.client.post("/api/people/search", { text: "restrup" })).body.people[0].state).toBe(
      "closed",
    );
    expect((await turn("reopen")).status).toBe(201);
    const person = (await clinic.client.get(at(id, "person"))).body;
    expect(person.state).toBe("active");
    expect(person.turns.map(({ kind }: { kind: string }) => kind)).toEqual([
      "reopen",
      "discharge",
      "resume",
      "pause",
    ]);
    const record = (await clinic.client.get(at(id, "record"))).body;
    const told = record.entries.filter(({ kind }: { kind: string }) => kind === "turn");
    expect(told).toHaveLength(4);
    expect(told.find((entry: { turn: string }) => entry.turn === "discharge")).toMatchObject({
      reason: "Goals reached",
      summary,
    });
  });
});

describe("who somebody is", () => {
  let id: string;
  const was = { givenName: "Ruhna", familyName: "Falsch", bornOn: "1981-05-06", activity: "Gardener" };
  const right = {
    ...was,
    givenName: "Runa",
    familyName: "Richtig",
    normGroup: "female",
    contact: "555 0199",
  };
  const change = (identity: object, who = clinic.client) =>
    who.post(at(id, "identity"), { id: uuid(), identity, reason: "Misheard on the phone" });

  it("is put right by a signature; what it was stays, and every list shows what it is", async () => {
    id = await begin(clinic, ["kneecap-pain", "capacity", "bridge-two-legs"], { person: was });
    const { status, body } = await change(right);
    expect(status).toBe(201);
    expect(body.frame.person).toMatchObject({ givenName: "Runa", familyName: "Richtig" });
    const person = (await clinic.client.get(at(id, "person"))).body;
    expect(person.identity).toEqual(right);
    expect(person.changes).toMatchObject([
      { before: { ...was, contact: null }, after: right, reason: "Misheard on the phone", by: "Jorun Vask" },
    ]);
    expect(await find("falsch")).toEqual([]);
    expect(await find("richtig")).toEqual(["Runa Richtig"]);
    const rows = (await clinic.client.get("/api/caseload")).body.rows;
    expect(rows.find((row: { episodeId: string }) => row.episodeId === id).person.familyName).toBe("Richtig");
  });

  it.each([
    [{ ...right }, { path: "/identity", problem: "is as it was" }],
    [
      { ...right, bornOn: "2026-03-11" },
      { path: "/identity/bornOn", problem: "lies in the future" },
    ],
    [
      { ...right, bornOn: "2026-03-09" },
      { path: "/identity/bornOn", problem: "lies after the injury" },
    ],
  ])("what makes no sense is refused at its field: %o", async (identity, problem) => {
    const { status, body } = await change(identity);
    expect([status, body.problems]).toEqual([422, [problem]]);
  });

  it("not by an assistant", async () => {
    expect((await change({ ...right, contact: null }, clinic.assistant)).status).toBe(403);
  });
});

describe("nobody is found from outside", () => {
  let stranger: Client;
  beforeAll(async () => {
    await addForeignClinic(clinic.servers.database.ownerUrl);
    stranger = new Client(clinic.servers.urls[0] as string);
    await stranger.post("/api/sign-in", { email: foreignEmail, password: demoPassword });
  });

  it("of another clinic, nor without signing in", async () => {
    expect(await find("holloway", stranger)).toEqual([]);
    expect(await find("a", stranger)).toEqual([]);
    const nobody = new Client(clinic.servers.urls[0] as string);
    expect((await nobody.post("/api/people/search", { text: "holloway" })).status).toBe(401);
  });
});

describe("what stands at the head of every view", () => {
  it("is who, how far on, and what holds", async () => {
    const id = await begin(clinic, ["kneecap-pain", "capacity", "bridge-two-legs"], { fellLastYear: true });
    const { body } = await clinic.client.get(`/api/episodes/${id}/frame`);
    expect(body).toMatchObject({
      episodeId: id,
      person: { conditions: [{ short: "falls" }] },
      stage: { name: "Capacity", number: 2, of: 4 },
      surgery: null,
      signals: [],
      items: [{ name: "Bridge" }],
      lifts: false,
      maySign: true,
    });
    expect(body.birthYear).toBeGreaterThan(1900);
    const stair = (await clinic.client.get(`/api/episodes/${id}`)).body;
    expect(body.limits).toEqual(stair.restrictions);
    expect((await clinic.assistant.get(`/api/episodes/${id}/frame`)).body.maySign).toBe(false);
  });
});
