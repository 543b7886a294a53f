import { v7 as uuid } from "uuid";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { addressOf, type EndpointName } from "~/contract/addresses";
import { endpoints } from "~/contract/all";
import type { PhoneView } from "~/contract/phone";
import type { PhonesView } from "~/contract/phones";
import { addDays } from "~/core/schedule/local-day";
import { Client, signedIn } from "~tests/harness/client";
import { startServers, type Servers } from "~tests/harness/servers";
import { fencer, squeezeOf } from "~tests/harness/story";

let servers: Servers;
let clinician: Client;
const id = fencer;
const atEight = (day: string) => `${day}T08:00:00.000Z`;
/** The day on which the demo stands. */
let today: string;
let asOf: string;

beforeAll(async () => {
  servers = await startServers(2);
  clinician = await signedIn(servers.urls[0] as string);
  ({ today, asOf } = (await clinician.get(`/api/episodes/${id}`)).body as { today: string; asOf: string });
});
afterAll(() => servers.stop());

/** A phone on which the fencer's plan has just been opened, at the other process. */
async function openedPhone(): Promise<{ phone: Client; token: string; code: string }> {
  const made = await clinician.post(`/api/episodes/${id}/phones`, undefined);
  expect(made.status).toBe(200);
  const { token, code } = made.body as { token: string; code: string };
  const phone = new Client(servers.urls[1] as string);
  expect((await phone.post("/api/phone/openings", { token })).status).toBe(200);
  return { phone, token, code };
}
const viewOf = async (phone: Client) => (await phone.get("/api/phone")).body as PhoneView;

/** A session as a phone sends it, with a clock of its own. */
function sessionOf(view: PhoneView, ago = 60_000, clock = "2031-05-05T10:00:00.000Z") {
  const item = view.items.find(({ itemId }) => itemId === squeezeOf("fencer"));
  if (!item) throw new Error("the squeeze is not in the plan");
  const { dose } = item.prescription;
  return {
    id: uuid(),
    occurredAt: new Date(Date.parse(clock) - ago).toISOString(),
    sentAt: clock,
    painBefore: 1,
    items: [
      {
        itemId: item.itemId,
        sets: Array.from({ length: dose.sets }, () => ({
          side: "both",
          holdSeconds: dose.hold?.top,
          painDuring: 1,
          painSite: "episode",
          effort: 5,
          faults: [],
        })),
      },
    ],
  };
}

describe("the own numbers", () => {
  it("are the hurt leg's tests over time, what the gate reads first, with the other leg's last one; no scores, no grades", async () => {
    const { phone } = await openedPhone();
    const { involvedSide } = (await clinician.get(`/api/episodes/${id}/measures`)).body as {
      involvedSide: string;
    };
    const other = involvedSide === "left" ? "right" : "left";
    const take = async (takenOn: string, value: number, side: string, measure = "hip-extension-force") =>
      clinician.post(`/api/episodes/${id}/measures`, {
        id: uuid(),
        takenOn,
        results: [{ id: uuid(), measure, side, trials: [value] }],
      });
    for (const [day, value, side] of [
      [addDays(today, -2), 180, involvedSide],
      [today, 199, involvedSide],
      [today, 240, other],
    ] as const)
      expect((await take(day, value, side)).status).toBe(201);
    expect((await take(today, 60, "none", "knee-score")).status).toBeLessThan(500);
    const { numbers = [] } = await viewOf(phone);
    expect(numbers.find(({ name }) => name.startsWith("Hip extension"))).toEqual({
      name: "Hip extension, isometric",
      unit: "N",
      points: [
        { date: addDays(today, -2), value: 180 },
        { date: today, value: 199 },
      ],
      other: 240,
    });
    expect(numbers.length).toBeLessThanOrEqual(6);
    expect(numbers.every(({ unit }) => unit !== "{score}")).toBe(true);
  });
});

describe("opening", () => {
  it("a link opens one person's own plan; a code does with the year of birth, however it is typed", async () => {
    const { phone, code } = await openedPhone();
    const view = await viewOf(phone);
    expect(view.items.length).toBeGreaterThan(0);
    expect(JSON.stringify(view)).not.toMatch(/diagnosis|familyName|bornOn/);
    const { birthYear } = (await clinician.get(`/api/episodes/${id}/frame`)).body as { birthYear: number };
    const other = new Client(servers.urls[0] as string);
    const typed = { code: ` ${code.toUpperCase()} `, birthYear };
    expect((await other.post("/api/phone/openings", { ...typed, birthYear: birthYear + 1 })).status).toBe(
      401,
    );
    expect((await other.post("/api/phone/openings", typed)).status).toBe(200);
    expect((await other.get("/api/phone")).status).toBe(200);
  });

  it("what is guessed, replaced, too old or closed opens nothing", async () => {
    const before = await openedPhone();
    const stranger = new Client(servers.urls[0] as string);
    expect((await stranger.post("/api/phone/openings", { token: "x".repeat(43) })).status).toBe(401);
    await openedPhone();
    expect((await stranger.post("/api/phone/openings", { token: before.token })).status).toBe(401);
    // The phone that was opened by it stays open, until the clinic closes it.
    expect((await before.phone.get("/api/phone")).status).toBe(200);
    expect((await clinician.post(`/api/episodes/${id}/phones-ended`, { phoneId: null })).status).toBe(200);
    expect((await before.phone.get("/api/phone")).status).toBe(401);
    const { token } = await openedPhone();
    servers.setClock(new Date(Date.parse(atEight(today)) + 15 * 86_400_000).toISOString());
    expect((await stranger.post("/api/phone/openings", { token })).status).toBe(401);
    servers.setClock(asOf);
  });

  it("'not my phone' forgets it at once, at every process", async () => {
    const { phone } = await openedPhone();
    const twin = phone.at(servers.urls[0] as string);
    expect((await phone.post("/api/phone/forgotten", undefined)).body).toEqual({ forgotten: true });
    expect((await twin.get("/api/phone")).status).toBe(401);
  });

  it("guesses are counted: after some of one code nobody may try it", async () => {
    const stranger = new Client(servers.urls[0] as string);
    const guess = { code: "aaaaa-bbbbb", birthYear: 1990 };
    const statuses: number[] = [];
    for (let n = 0; n < 9; n += 1) statuses.push((await stranger.post("/api/phone/openings", guess)).status);
    expect(statuses.slice(0, 8)).toEqual(Array(8).fill(401));
    expect(statuses[8]).toBe(429);
  });
});

describe("two kinds of people", () => {
  const pathOf = (name: EndpointName) => addressOf(name).path.replaceAll(/\{\w+\}/g, id);

  it("every endpoint of the clinic refuses a phone, every one of phones refuses the clinic", async () => {
    const { phone } = await openedPhone();
    let asked = 0;
    for (const { name, roles } of endpoints) {
      if (roles === "anybody") continue;
      const { method } = addressOf(name);
      const body = method === "POST" ? {} : undefined;
      const wrong = roles === "phone" ? clinician : phone;
      const { status } = await wrong.send(method, pathOf(name), body);
      expect([name, status]).toEqual([name, 401]);
      asked += 1;
    }
    expect(asked).toBeGreaterThan(70);
    for (const page of ["/", `/episodes/${id}`, "/clinic"])
      expect([page, (await phone.get(page)).status]).toEqual([page, 303]);
  });
});

describe("what a phone tells", () => {
  it("work is kept once, at the time it was done whatever the phone's clock says, as done alone", async () => {
    const { phone } = await openedPhone();
    servers.setClock(atEight(today));
    const body = sessionOf(await viewOf(phone), 30 * 60_000);
    const first = await phone.post("/api/phone/sessions", body);
    expect([first.status, first.body.repeated]).toEqual([201, false]);
    // Sent again later, after an answer that was lost.
    const later = await phone.post("/api/phone/sessions", { ...body, sentAt: "2031-05-05T11:00:00.000Z" });
    expect([later.status, later.body.repeated]).toEqual([201, true]);
    const other = await phone.post("/api/phone/sessions", { ...body, painBefore: 4 });
    expect(other.status).toBe(409);
    const { entries } = (await clinician.get(`/api/episodes/${id}/record`)).body;
    const found = entries.find((entry: { session?: { id: string } }) => entry.session?.id === body.id);
    expect(found.session.at).toBe(new Date(Date.parse(atEight(today)) - 30 * 60_000).toISOString());
    expect(found.session.alone).toBe(true);
    expect(found.by).toBe("the patient, by phone");
  });

  it("the next proposal says that nobody watched", async () => {
    const { items } = (await clinician.get(`/api/episodes/${id}`)).body;
    const squeeze = items.find((item: { itemId: string }) => item.itemId === squeezeOf("fencer"));
    const codes = squeeze.proposal.evidence.map(({ code }: { code: string }) => code);
    expect(codes).toContain("not-watched");
  });

  it("a morning counts for its day; one that is not over yet is refused", async () => {
    const { phone } = await openedPhone();
    const told = {
      id: uuid(),
      occurredAt: atEight(today),
      sentAt: atEight(today),
      trainingDate: today,
      pain: 2,
    };
    expect((await phone.post("/api/phone/mornings", told)).status).toBe(422);
    const tomorrow = addDays(today, 1);
    servers.setClock(atEight(tomorrow));
    expect((await viewOf(phone)).morningOf).toBe(today);
    const mornings = async (instant: string) => {
      servers.setClock(instant);
      const staff = await signedIn(servers.urls[0] as string);
      return ((await staff.get(`/api/episodes/${id}/phones`)).body as PhonesView).mornings;
    };
    const until = `${tomorrow}T19:30:00.000Z`;
    expect(await mornings(`${tomorrow}T20:00:00.000Z`)).toEqual([{ date: today, isOpen: false, until }]);
    expect(await mornings(atEight(tomorrow))).toEqual([{ date: today, isOpen: true, until }]);
    const morning = { ...told, occurredAt: atEight(tomorrow), sentAt: atEight(tomorrow) };
    expect((await phone.post("/api/phone/mornings", morning)).status).toBe(201);
    const view = await viewOf(phone);
    expect([view.morningOf, view.pains.at(-1)]).toEqual([null, { date: today, during: 1, after: 2 }]);
    expect(await mornings(atEight(tomorrow))).toEqual([]);
  });

  it("a sign stops what it must at once, also while the plan rests, and is cleared by the clinic alone", async () => {
    // The clinic's own sessions have ended over night.
    clinician = await signedIn(servers.urls[0] as string);
    const { phone } = await openedPhone();
    const turn = { id: uuid(), kind: "pause", reason: "Away for two weeks" };
    expect((await clinician.post(`/api/episodes/${id}/turns`, turn)).status).toBe(201);
    const now = addDays(today, 1);
    const wrong = { id: uuid(), code: "calf-hot", occurredAt: atEight(now), sentAt: atEight(now) };
    expect((await phone.post("/api/phone/signals", wrong)).status).toBe(201);
    expect((await phone.post("/api/phone/signals", { ...wrong, id: uuid(), code: "gives-way" })).status).toBe(
      422,
    );
    const view = await viewOf(phone);
    expect(view.state).toBe("paused");
    expect(view.halted).toEqual({ code: "calf-hot", urgency: "same-day" });
    expect(view.items.every(({ stopped }) => stopped)).toBe(true);
    const { signals } = (await clinician.get(`/api/episodes/${id}/frame`)).body;
    expect(signals[0]).toMatchObject({ code: "calf-hot", by: "the patient, by phone", mayTakeBack: false });
    const clearance = { id: uuid(), signalId: wrong.id, reason: "Seen today; no clot" };
    expect((await clinician.post(`/api/episodes/${id}/signal-clearances`, clearance)).status).toBe(201);
    expect((await viewOf(phone)).halted).toBeNull();
  });

  it("the clinic's message reaches the phone, and the clinic sees what came from it", async () => {
    const { phone } = await openedPhone();
    const message = { id: uuid(), words: "  Rest today, please.  " };
    const written = await clinician.post(`/api/episodes/${id}/messages`, message);
    expect(written.body.phones.messages[0]).toMatchObject({ words: "Rest today, please.", by: "Jorun Vask" });
    expect((await viewOf(phone)).messages[0]?.words).toBe("Rest today, please.");
    const { told, phones } = (await clinician.get(`/api/episodes/${id}/phones`)).body;
    expect(told.map(({ kind }: { kind: string }) => kind).sort()).toEqual(["report", "session", "signal"]);
    expect(phones.length).toBeGreaterThan(4);
    const assistant = await signedIn(servers.urls[0] as string, "assistant");
    expect((await assistant.post(`/api/episodes/${id}/messages`, { ...message, id: uuid() })).status).toBe(
      403,
    );
  });

  it.each(["2026-03-11T08:00:00.000Z", "9999-12-31T23:59:59.000Z"])(
    "a sign is taken also from a clock that was set from 1970 to %s, as of its arrival; nothing else is",
    async (sentAt) => {
      const occurredAt = "1970-01-01T00:00:00.000Z";
      const { phone } = await openedPhone();
      const signal = { id: uuid(), code: "calf-hot", occurredAt, sentAt };
      expect((await phone.post("/api/phone/signals", signal)).status).toBe(201);
      const { told } = (await clinician.get(`/api/episodes/${id}/phones`)).body as PhonesView;
      expect(told[0]).toMatchObject({ kind: "signal", occurredAt: told[0]?.receivedAt });
      const clearance = { id: uuid(), signalId: signal.id, reason: "Seen today; no clot" };
      expect((await clinician.post(`/api/episodes/${id}/signal-clearances`, clearance)).status).toBe(201);
      const work = { ...sessionOf(await viewOf(phone)), occurredAt, sentAt };
      const morning = { id: uuid(), occurredAt, sentAt, trainingDate: "1969-12-01", pain: 2 };
      for (const [path, body] of Object.entries({ sessions: work, mornings: morning }))
        expect([path, (await phone.post(`/api/phone/${path}`, body)).status]).toEqual([path, 422]);
    },
  );
});
