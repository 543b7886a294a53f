import mysql from "mysql2/promise";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { demoId } from "~demo/identity";
import { fillLanes } from "~tests/harness/fill-lanes";
import { trainedDaily } from "~tests/harness/trained";
import { startServers, type Servers } from "~tests/harness/servers";
import { signedIn, type Client, type Reply } from "~tests/harness/client";

let servers: Servers;
let one: Client;
let two: Client;
let assistant: Client;

/** Stands in 'build' with one criterion unmeasured and one not met. */
const patient = demoId("mountain-rescue", "episode");
const path = (what: string) => `/api/episodes/${patient}/${what}`;
const paths = (reply: Reply) => (reply.body.problems ?? []).map((p: { path: string }) => p.path);
const result = (measure: string, side: string, trials: unknown[], more: object = {}) => ({
  id: uuid(),
  measure,
  side,
  trials,
  ...more,
});
const visit = (results: object[], over: object = {}) => ({
  id: uuid(),
  takenOn: "2026-03-10",
  results,
  ...over,
});

beforeAll(async () => {
  servers = await startServers(2);
  one = await signedIn(servers.urls[0] as string);
  two = one.at(servers.urls[1] as string);
  assistant = await signedIn(servers.urls[1] as string, "assistant");
});
afterAll(() => servers.stop());

describe("a visit", () => {
  const bad: [string, () => object, string][] = [
    ["a knee bent 400°", () => visit([result("knee-flexion", "left", [400])]), "/results/0/trials/0"],
    ["a rating of 11", () => visit([result("pain-now", "none", [11])]), "/results/0/trials/0"],
    ["half a point", () => visit([result("pain-now", "none", [2.5])]), "/results/0/trials/0"],
    ["a numeric string", () => visit([result("pain-now", "none", ["2"])]), "/results/0/trials/0"],
    ["no trial at all", () => visit([result("pain-now", "none", [])]), "/results/0/trials"],
    ["a side where there is none", () => visit([result("pain-now", "left", [2])]), "/results/0/side"],
    ["no side where there are two", () => visit([result("knee-flexion", "none", [120])]), "/results/0/side"],
    ["a measure nobody has", () => visit([result("wingspan", "none", [2])]), "/results/0/measure"],
    [
      "one side twice",
      () => visit([result("knee-flexion", "left", [120]), result("knee-flexion", "left", [121])]),
      "/results/1/measure",
    ],
    ["a day to come", () => visit([result("pain-now", "none", [2])], { takenOn: "2026-03-11" }), "/takenOn"],
    [
      "a day before birth",
      () => visit([result("pain-now", "none", [2])], { takenOn: "1950-01-01" }),
      "/takenOn",
    ],
    [
      "a day before the injury",
      () => visit([result("pain-now", "none", [2])], { takenOn: "2026-01-01" }),
      "/takenOn",
    ],
    [
      "a day that is none",
      () => visit([result("pain-now", "none", [2])], { takenOn: "2026-02-30" }),
      "/takenOn",
    ],
    [
      "something unusual, unasked",
      () => visit([result("knee-flexion", "left", [40])]),
      "/results/0/trials/0",
    ],
    [
      "a correction of nothing",
      () => visit([result("pain-now", "none", [2], { supersedes: uuid() })]),
      "/results/0/supersedes",
    ],
  ];
  it.each(bad)("refuses %s at its field, and writes nothing", async (_what, body, field) => {
    const before = (await one.get(path("measures"))).body.status;
    const reply = await one.post(path("measures"), body());
    expect(reply.status).toBe(422);
    expect(paths(reply)).toContain(field);
    expect((await one.get(path("measures"))).body.status).toEqual(before);
  });

  it("is recorded once, with its trials; the value follows the measure's rule; an assistant may", async () => {
    const body = visit([
      result("knee-extension-force", "left", [300, 330, 315], { way: "sitting, knee 90°, chair-fixed" }),
      result("knee-extension-force", "right", [390, 400, 396], { way: "sitting, knee 90°, chair-fixed" }),
      result("knee-flexion", "left", [40], { confirmed: true }),
      result("limit-squat", "none", [95], { detail: { limit: "pinch" } }),
    ]);
    const [a, b] = await Promise.all([
      assistant.post(path("measures"), body),
      two.post(path("measures"), body),
    ]);
    expect([a.status, b.status]).toEqual([201, 201]);
    expect([a.body.repeated, b.body.repeated].sort()).toEqual([false, true]);
    const { status } = (await one.get(path("measures"))).body;
    const force = status.find((s: { code: string }) => s.code === "knee-extension-force");
    expect(force).toMatchObject({ left: { value: 330 }, right: { value: 400 }, lsiPercent: 82.5 });
    expect(force.early).toMatchObject({ kind: "earliest-after", percent: 82.5 });
    const entry = (await one.get(path("record"))).body.entries.find(
      (e: { kind: string }) => e.kind === "measures",
    );
    expect(entry.results).toHaveLength(4);
  });

  it("a change of way is said; a correction takes the place of the first, which stays", async () => {
    servers.setClock("2026-03-11T09:00:00.000Z");
    one = await signedIn(servers.urls[0] as string);
    two = one.at(servers.urls[1] as string);
    assistant = await signedIn(servers.urls[1] as string, "assistant");
    const wrong = result("knee-extension-force", "left", [900], { way: "standing", confirmed: true });
    expect((await one.post(path("measures"), visit([wrong], { takenOn: "2026-03-11" }))).status).toBe(201);
    const left = async () =>
      (await two.get(path("measures"))).body.status.find(
        (s: { code: string }) => s.code === "knee-extension-force",
      ).left;
    expect(await left()).toMatchObject({ value: 900, wayChanged: true, change: 570 });
    const right = result("knee-extension-force", "left", [340], {
      supersedes: wrong.id,
      way: "sitting, knee 90°, chair-fixed",
    });
    expect((await one.post(path("measures"), visit([right], { takenOn: "2026-03-11" }))).status).toBe(201);
    expect(await left()).toMatchObject({ value: 340, wayChanged: false, change: 10 });
    const db = await mysql.createConnection({ uri: servers.database.ownerUrl });
    const [rows] = await db.query<mysql.RowDataPacket[]>(
      "SELECT value FROM measure_results WHERE episode_id = ? AND measure = 'knee-extension-force' AND side = 'left'",
      [patient],
    );
    await db.end();
    expect(rows.map((row) => row["value"]).sort()).toEqual([330, 340, 900]);
  });

  it("its trend has both sides, error where trials allow it, thresholds of the gate, stages and sessions", async () => {
    const { body } = await one.get(path("trend?measure=hip-adduction-force"));
    expect(body.points.filter((p: { side: string }) => p.side === "left").length).toBeGreaterThan(1);
    expect(body.points.every((p: { error95: number | null }) => p.error95 !== null)).toBe(true);
    expect(body.thresholds).toMatchObject([{ value: 80, side: "uninvolved-share" }]);
    expect(body.stages.map((s: { name: string }) => s.name)).toContain("Build");
    expect(body.sessions.length).toBeGreaterThan(5);
    expect((await one.get(path("trend?measure=wingspan"))).status).toBe(422);
    expect((await one.get(path("trend"))).status).toBe(422);
  });
});

describe("the gate", () => {
  const gate = async () => (await one.get(path("gate"))).body;
  const sign = (body: object, client = one) => client.post(path("gate"), { id: uuid(), ...body });

  it("names what is missing and what to measure, and does not let anybody pass", async () => {
    const view = await gate();
    expect(view).toMatchObject({ stage: "build", gate: { outcome: "closed", passing: "point" } });
    expect(view.gate.measureNext.map((n: { measure: string }) => n.measure)).toContain("pain-squeeze-test");
    const move = { expectedVersion: view.version, action: "pass", stage: "load-and-spring" };
    expect(paths(await sign(move))).toEqual(["/action"]);
    expect((await sign(move, assistant)).status).toBe(403);
    expect(paths(await sign({ ...move, action: "override" }))).toEqual(["/reason"]);
    expect(paths(await sign({ ...move, action: "override", reason: "   " }))).toEqual(["/reason"]);
    expect(paths(await sign({ ...move, action: "override", reason: "because", stage: "keep" }))).toEqual([
      "/stage",
    ]);
    expect(
      paths(await sign({ ...move, action: "back", reason: "because", stage: "run-and-return" })),
    ).toEqual(["/stage"]);
    expect(paths(await sign({ ...move, stage: "nowhere" }))).toEqual(["/stage"]);
  });

  it("past a closed gate: with a reason, and for ever shown with what was not met", async () => {
    const { version } = await gate();
    const move = {
      id: uuid(),
      expectedVersion: version,
      action: "override",
      stage: "load-and-spring",
      reason: "Season begins; agreed with the team",
    };
    const [a, b] = await Promise.all([
      one.post(path("gate"), move),
      two.post(path("gate"), { ...move, id: uuid() }),
    ]);
    expect([a.status, b.status].sort()).toEqual([201, 409]);
    const view = await gate();
    expect(view.stage).toBe("load-and-spring");
    expect(view.moves[0]).toMatchObject({ kind: "override", reason: move.reason });
    expect(view.moves[0].unmet).toContain("Pain in the 5-second squeeze");
    expect((await one.get(`/api/episodes/${patient}`)).body.stage).toBe("load-and-spring");
  });

  it("back, with a reason; the way there stays on record", async () => {
    const { version } = await gate();
    const back = await sign({
      expectedVersion: version,
      action: "back",
      stage: "build",
      reason: "Flare after the first jumps",
    });
    expect(back.body.gate).toMatchObject({
      stage: "build",
      moves: [{ kind: "back" }, { kind: "override" }, {}, {}, {}],
    });
  });

  it("opens when everything required is met, and is then signed; the gate is stored as it stood", async () => {
    const [left, right] = [
      [232, 240, 236],
      [244, 240, 238],
    ];
    const results = [
      result("pain-squeeze-test", "none", [1]),
      result("hip-adduction-force", "left", left),
      result("hip-adduction-force", "right", right),
      result("hip-abduction-force", "left", [232, 230, 228]),
      result("squeeze-force", "none", [240, 238, 236]),
    ];
    expect((await one.post(path("measures"), visit(results, { takenOn: "2026-03-11" }))).status).toBe(201);
    servers.setClock("2026-03-13T09:00:00.000Z");
    one = await signedIn(servers.urls[0] as string);
    servers.setClock("2026-03-26T08:00:00.000Z");
    one = await signedIn(servers.urls[0] as string);
    const fresh = results.map((r) => ({ ...r, id: uuid() }));
    expect((await one.post(path("measures"), visit(fresh, { takenOn: "2026-03-25" }))).status).toBe(201);
    const leftOut = await gate();
    expect(leftOut.gate).toMatchObject({ outcome: "closed", rule: "gate-lanes" });
    expect(leftOut.gate?.lanesLeftOut).toContain("adductors");
    expect(await fillLanes(one, patient)).toEqual([]);
    await trainedDaily(servers.database.ownerUrl, patient, { before: "2026-03-26" });
    const view = await gate();
    expect(view.gate).toMatchObject({ outcome: "open" });
    expect(
      paths(
        await sign({
          expectedVersion: view.version,
          action: "override",
          stage: "load-and-spring",
          reason: "no need",
        }),
      ),
    ).toEqual(["/action"]);
    const passed = await sign({ expectedVersion: view.version, action: "pass", stage: "load-and-spring" });
    expect(passed.body.gate).toMatchObject({
      stage: "load-and-spring",
      moves: [{ kind: "pass", unmet: [] }, {}, {}, {}, {}, {}],
    });
    const file = (await one.get(path("case"))).body;
    expect(file.stageMoves.at(-1)).toMatchObject({ kind: "pass", gate: { outcome: "open" } });
  });

  it("how gates are passed is set with a reason, by somebody who may sign", async () => {
    const body = { id: uuid(), passing: "confident", reason: "Two earlier strains on this side" };
    assistant = await signedIn(servers.urls[1] as string, "assistant");
    expect((await assistant.post(path("passing"), body)).status).toBe(403);
    const set = await one.post(path("passing"), body);
    expect(set.body.gate.gate).toMatchObject({ passing: "confident" });
    expect((await one.post(path("passing"), body)).body).toMatchObject({ repeated: true });
    expect(paths(await one.post(path("passing"), { ...body, id: uuid(), passing: "hopeful" }))).toContain(
      "/passing",
    );
  });
});
