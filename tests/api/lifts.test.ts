import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import type { LiftsView } from "~/contract/lifts";
import { importCase } from "~/core/case/import-case";
import { addDays } from "~/core/schedule/local-day";
import { startServers, type Servers } from "~tests/harness/servers";
import { signedIn, type Client, type Reply } from "~tests/harness/client";
import { fencer } from "~tests/harness/story";

let servers: Servers;
let one: Client;
let assistant: Client;
let today = "";

const path = `/api/episodes/${fencer}`;
const said = (reply: Reply) =>
  (reply.body.problems ?? []).map((p: { path: string; problem: string }) => `${p.path} ${p.problem}`);
const view = async (): Promise<LiftsView> => (await one.get(`${path}/lifts`)).body;
const lift = (daysAgo: number, loadKg: number, over: object = {}, client = one) =>
  client.post(`${path}/lifts`, {
    id: uuid(),
    on: addDays(today, -daysAgo),
    movement: "Crate lift",
    sets: 3,
    reps: 5,
    loadKg,
    ...over,
  });
const tryOut = (step: string, over: object = {}, client = one) =>
  client.post(`${path}/small-doses`, { id: uuid(), step, lookOn: addDays(today, 21), ...over });

beforeAll(async () => {
  servers = await startServers(2);
  one = await signedIn(servers.urls[0] as string);
  assistant = await signedIn(servers.urls[1] as string, "assistant");
  today = (await one.get(path)).body.today;
});
afterAll(() => servers.stop());

describe("a log of lifts", () => {
  it("nobody who is no back has a log until the first lift; then the stair leads there", async () => {
    expect((await one.get(`${path}/frame`)).body.lifts).toBe(false);
    expect((await lift(50, 80, {}, assistant)).status).toBe(201);
    expect((await one.get(`${path}/frame`)).body.lifts).toBe(true);
  });
  it("what is senseless is refused at its field, and nothing is kept", async () => {
    const before = (await view()).lifts.length;
    expect(said(await lift(-1, 80))).toEqual(["/on lies in the future"]);
    expect(said(await lift(3, 80, { supersedes: uuid() }))).toEqual(["/supersedes is no entry that stands"]);
    for (const wrong of [
      { sets: 0 },
      { reps: 51 },
      { loadKg: 0 },
      { loadKg: 601 },
      { movement: " " },
      { felt: "fine" },
      { on: "soon" },
    ])
      expect([JSON.stringify(wrong), (await lift(3, 80, wrong)).status]).toEqual([
        JSON.stringify(wrong),
        422,
      ]);
    expect((await view()).lifts).toHaveLength(before);
  });
  it("a load far above those before is asked about, and kept once it is meant", async () => {
    const asked = await lift(49, 800, { loadKg: 200 });
    expect([asked.status, asked.body.type]).toEqual([422, "/problems/unusual"]);
    expect(said(asked)).toEqual(["/loadKg is far above the 80 kg of before"]);
    expect((await lift(49, 200, { meant: true })).status).toBe(201);
  });
  it("corrected and taken back, the entries before stay in the record", async () => {
    const [wrong] = (await view()).lifts;
    const corrected = await lift(49, 82, { supersedes: wrong?.id });
    expect(corrected.status).toBe(201);
    expect(corrected.body.lifts.lifts.map(({ loadKg }: { loadKg: number }) => loadKg)).toEqual([82, 80]);
    const spurious = await lift(2, 83);
    expect((await lift(2, 83, { supersedes: spurious.body.id, withdrawn: true })).status).toBe(201);
    expect((await view()).lifts.map(({ loadKg }) => loadKg)).toEqual([82, 80]);
    const file = (await one.get(`${path}/case`)).body;
    expect(file.lifts).toHaveLength(5);
    expect(importCase(JSON.stringify(file))).toMatchObject({ ok: true });
    const broken = { ...file, lifts: [{ ...file.lifts[0], supersedes: "who" }] };
    expect(importCase(JSON.stringify(broken))).toMatchObject({ problems: [{ path: "/lifts/0/supersedes" }] });
  });
  it("sent twice it is written once", async () => {
    const body = {
      id: uuid(),
      on: addDays(today, -45),
      movement: "Crate lift",
      sets: 3,
      reps: 5,
      loadKg: 82,
    };
    expect((await one.post(`${path}/lifts`, body)).body.repeated).toBe(false);
    expect((await one.post(`${path}/lifts`, body)).body.repeated).toBe(true);
    expect((await one.post(`${path}/lifts`, { ...body, loadKg: 90 })).status).toBe(409);
  });
});

describe("a stall, and what is tried", () => {
  it("is seen after three weeks and four trainings", async () => {
    expect((await view()).smallDose.next).toBe("nothing");
    for (const daysAgo of [30, 20, 10]) await lift(daysAgo, 80);
    const { trends, smallDose } = await view();
    expect(trends[0]).toMatchObject({ movement: "Crate lift", stalledDays: 49, daysSince: 4 });
    expect(smallDose.next).toBe("screen");
  });
  it("bending is looked at first; then the step is a clinician's, with a day to look again", async () => {
    const visit = await one.post(`${path}/measures`, {
      id: uuid(),
      takenOn: today,
      results: [
        { id: uuid(), measure: "limit-back-flexion", side: "none", trials: [60] },
        { id: uuid(), measure: "limit-back-extension", side: "none", trials: [10] },
      ],
    });
    expect(visit.status).toBe(201);
    expect((await view()).smallDose).toMatchObject({ next: "begin", forwardOn: today, backwardOn: today });
    expect((await tryOut("begin", {}, assistant)).status).toBe(403);
    expect(said(await tryOut("more"))).toEqual(["/step is not what comes next"]);
    expect(said(await tryOut("begin", { lookOn: addDays(today, 3) }))).toEqual([
      "/lookOn lies 7 to 42 days from today",
    ]);
    const signed = await tryOut("begin", { note: "In the warm-up, twice a week" });
    expect(signed.status).toBe(201);
    expect(signed.body.lifts.smallDose).toMatchObject({ next: "wait" });
    expect(said(await tryOut("begin"))).toEqual(["/step is not what comes next"]);
  });
  it("stands in the case file, which comes in again", async () => {
    const file = (await one.get(`${path}/case`)).body;
    expect(file.smallDoses).toMatchObject([{ step: "begin", note: "In the warm-up, twice a week" }]);
    expect(importCase(JSON.stringify(file))).toMatchObject({ ok: true });
  });
});
