import { v7 as uuid } from "uuid";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { signedIn, type Client } from "~tests/harness/client";
import { startServers, type Servers } from "~tests/harness/servers";
import type { WeekView } from "~/contract/week";
import { addDays } from "~/core/schedule/local-day";
import { fencer } from "~tests/harness/story";
import { randomWeek } from "~tests/builders/weeks";

let servers: Servers;
let clinician: Client;
beforeAll(async () => {
  servers = await startServers(1);
  clinician = await signedIn(servers.urls[0] as string);
});
afterAll(() => servers.stop());

it("a week that takes the solver long is planned beside everything else, and several at once", async () => {
  const week = { ...randomWeek(4_242, { items: 22, days: 7, fixed: false }), secondsLimit: 2 };
  let planning = true;
  const plans = Promise.all([1, 2, 3].map(() => clinician.post("/api/calc/plan-week", week))).finally(
    () => (planning = false),
  );
  const waits: number[] = [];
  while (planning) {
    const asked = performance.now();
    expect((await clinician.get("/health")).status).toBe(200);
    waits.push(performance.now() - asked);
  }
  for (const { status, body } of await plans) {
    expect(status).toBe(200);
    expect(body.placed.length).toBeGreaterThan(0);
  }
  // A process that solved by itself would have answered before, between and after the three at most.
  expect(waits.length).toBeGreaterThan(6);
});

it("more weeks at once than anybody waits for are told to come again; none fails", async () => {
  const week = { ...randomWeek(4_242, { items: 14, days: 7, fixed: false }), secondsLimit: 0.2 };
  const replies = await Promise.all(
    Array.from({ length: 40 }, () => clinician.post("/api/calc/plan-week", week)),
  );
  const statuses = new Set(replies.map(({ status }) => status));
  expect([...statuses].sort()).toEqual([200, 503]);
  expect(replies.find(({ status }) => status === 503)?.body.title).toMatch(/Try again/);
  expect((await clinician.post("/api/calc/plan-week", week)).status).toBe(200);
});

it("a clash is an answer; what makes no sense is refused at its field", async () => {
  const week = randomWeek(1, { items: 2, days: 3, fixed: false });
  const [item] = week.items;
  const pair = { item: item?.id, date: week.days[0]?.date };
  const clash = await clinician.post("/api/calc/plan-week", {
    ...week,
    locks: [
      { ...pair, on: true },
      { ...pair, on: false },
    ],
  });
  expect([clash.status, clash.body.conflict.length]).toEqual([200, 2]);
  const refused = await clinician.post("/api/calc/plan-week", { ...week, days: week.days.slice(1) });
  expect([refused.status, refused.body.problems[0].path]).toEqual([422, "/days"]);
});

describe("a patient's week", () => {
  const at = `/api/episodes/${fencer}/week`;
  const monday = "2026-03-16";
  const read = async () => (await clinician.get(`${at}?from=2026-03-18`)).body as WeekView;
  const bodyOf = ({ question, placed }: WeekView) => ({
    id: uuid(),
    startsOn: monday,
    days: question.days.map(({ places: _places, ...day }) => day),
    locks: [],
    placed,
  });

  it("is proposed from the plan, within minutes and kit, on as many days as the person has", async () => {
    const week = await read();
    expect([week.startsOn, week.kept, week.optimal]).toEqual([monday, null, true]);
    expect(week.pieces.length).toBeGreaterThan(0);
    expect(week.placed.length).toBeGreaterThan(0);
    for (const { date } of week.placed)
      expect(week.question.days.find((day) => day.date === date)?.minutes).toBeGreaterThan(0);
  });

  it("is kept as it is laid out, once; the latest stands, and next week is planned beside it", async () => {
    const proposed = await read();
    const body = bodyOf(proposed);
    const kept = await clinician.post(at, body);
    expect([kept.status, kept.body.repeated]).toEqual([201, false]);
    expect((await clinician.post(at, body)).body.repeated).toBe(true);
    expect((await clinician.post(at, { ...body, placed: [] })).status).toBe(409);
    const again = await read();
    expect(again.placed).toEqual(proposed.placed);
    expect(again.kept?.by).not.toBe("");
    const [first] = proposed.placed;
    const fewer = proposed.placed.filter((one) => one !== first);
    expect((await clinician.post(at, { ...body, id: uuid(), placed: fewer })).status).toBe(201);
    expect((await read()).placed).toEqual(fewer);
    const after = (await clinician.get(`${at}?from=${addDays(monday, 7)}`)).body as WeekView;
    expect(after.question.previous?.length).toBe(fewer.length);
  });

  it("what breaks a rule, or names what is not there, is refused in words and nothing is kept", async () => {
    const week = await read();
    const body = bodyOf(week);
    const [piece] = week.pieces;
    const sunday = addDays(monday, 6);
    const crowded = [...week.placed, { item: piece?.itemId ?? "", date: sunday }];
    const refused = await clinician.post(at, {
      ...body,
      days: body.days.map((day) => (day.date === sunday ? { ...day, minutes: 0 } : day)),
      placed: crowded,
    });
    expect([refused.status, refused.body.problems[0].path]).toEqual([422, "/placed"]);
    expect(refused.body.problems[0].problem).toMatch(/Sunday: .* 0 at hand/);
    for (const [over, path] of [
      [{ startsOn: "2026-03-17" }, "/startsOn"],
      [{ placed: [{ item: uuid(), date: monday }] }, "/placed/0/item"],
      [{ placed: [{ item: piece?.itemId, date: "2026-05-01" }] }, "/placed/0/date"],
    ] as const) {
      const reply = await clinician.post(at, { ...body, id: uuid(), ...over });
      expect([reply.status, reply.body.problems.map((p: { path: string }) => p.path)]).toEqual([
        422,
        expect.arrayContaining([path]),
      ]);
    }
    expect((await read()).placed).toEqual(week.placed);
  });

  it("the rest is planned around what is locked, and nothing is stored by asking", async () => {
    const week = await read();
    const { days } = bodyOf(week);
    const [one] = week.placed;
    const reply = await clinician.post(`/api/episodes/${fencer}/week-solutions`, {
      startsOn: monday,
      days,
      locks: [{ ...one, on: false }],
    });
    expect(reply.status).toBe(200);
    expect(reply.body.placed).not.toContainEqual(one);
    expect((await read()).placed).toEqual(week.placed);
  });

  it("a lock on a day that was missed holds nothing: the rest is planned all the same", async () => {
    const week = await read();
    const [first] = week.placed;
    servers.setClock("2026-03-18T09:00:00.000Z");
    const late = await signedIn(servers.urls[0] as string);
    const solved = await late.post(`/api/episodes/${fencer}/week-solutions`, {
      startsOn: monday,
      days: bodyOf(week).days,
      locks: [{ item: first?.item, date: monday, on: true }],
    });
    expect([solved.status, solved.body.conflict]).toEqual([200, undefined]);
    for (const { date } of solved.body.placed as { date: string }[]) expect(date >= "2026-03-18").toBe(true);
  });
});
