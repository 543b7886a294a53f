import { readdirSync } from "node:fs";
import path from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { operations } from "~/server/http/openapi";
import { demoClinic, demoPassword } from "~demo/clinic";
import { addForeignClinic, foreignEmail } from "~tests/harness/foreign-clinic";
import { startServers, type Servers } from "~tests/harness/servers";
import type { Placing } from "~/core/intake/placing";
import { someIntake } from "~tests/builders/intake";
import { Client, signedIn } from "~tests/harness/client";
import { fencer, squeezeOf, squeezeSession } from "~tests/harness/story";

let servers: Servers;
let url: string;
let clinician: Client;

beforeAll(async () => {
  servers = await startServers(2);
  url = servers.urls[0] as string;
  await addForeignClinic(servers.database.ownerUrl);
  clinician = await signedIn(url);
});
afterAll(() => servers.stop());

describe("another clinic's ids answer 404, at every endpoint that takes one", () => {
  const emptyWeek = {
    startsOn: "2026-03-09",
    days: Array.from({ length: 7 }, (_, n) => ({
      date: `2026-03-${String(9 + n).padStart(2, "0")}`,
      minutes: 30,
    })),
    locks: [],
  };
  const bodies: Record<string, () => object> = {
    phones: () => ({}),
    "handout-sheets": () => ({ language: "en", letters: "usual", ink: "colour", paper: "a4" }),
    "calendar-feeds": () => ({ at: null }),
    "calendar-feeds-ended": () => ({}),
    "phones-ended": () => ({ phoneId: null }),
    messages: () => ({ id: uuid(), words: "Rest today" }),
    "harder-days": () => ({ id: uuid(), itemId: squeezeOf("fencer"), allowed: true, reason: "because" }),
    sessions: () => squeezeSession("fencer"),
    reports: () => ({ id: uuid(), trainingDate: "2026-03-08", pain: 1 }),
    decisions: () => ({ id: uuid(), itemId: squeezeOf("fencer"), expectedVersion: 1, action: "accept" }),
    school: () => ({ id: uuid(), school: "monitored", reason: "because" }),
    items: () => ({ id: uuid(), exerciseId: "clam", variantId: "clam-30" }),
    arrangements: () => ({
      id: uuid(),
      entries: [{ itemId: squeezeOf("fencer"), role: "main" }],
      circuits: [],
    }),
    composition: () => ({ needs: ["hurt-groin"], minutes: 15 }),
    identity: () => ({
      id: uuid(),
      reason: "because",
      identity: {
        givenName: "A",
        familyName: "B",
        bornOn: "1990-01-01",
        activity: "C",
        normGroup: null,
        contact: null,
      },
    }),
    turns: () => ({ id: uuid(), kind: "pause", reason: "because" }),
    endings: () => ({ id: uuid(), itemId: squeezeOf("fencer"), reason: "because" }),
    "endings-taken-back": () => ({ id: uuid(), itemId: squeezeOf("fencer") }),
    measures: () => ({
      id: uuid(),
      takenOn: "2026-03-10",
      results: [{ id: uuid(), measure: "pain-now", side: "none", trials: [1] }],
    }),
    imports: () => ({
      visits: [
        {
          id: uuid(),
          takenOn: "2026-03-10",
          results: [{ id: uuid(), measure: "pain-now", side: "none", trials: [1] }],
        },
      ],
    }),
    circumstances: () => ({
      id: uuid(),
      reason: "because",
      circumstances: {
        limits: [],
        reachesFloor: true,
        daysPerWeek: 3,
        minutesPerDay: 30,
        kit: [],
        cannotPositions: [],
      },
    }),
    gate: () => ({ id: uuid(), expectedVersion: 1, action: "pass", stage: "build" }),
    passing: () => ({ id: uuid(), passing: "point", reason: "because" }),
    clearances: () => ({ id: uuid(), itemId: squeezeOf("fencer"), reason: "because" }),
    signals: () => ({ id: uuid(), code: "dizziness" }),
    "signal-clearances": () => ({ id: uuid(), signalId: uuid(), reason: "because" }),
    "signals-taken-back": () => ({ id: uuid(), signalId: uuid() }),
    "criterion-words": () => ({ id: uuid(), criterion: "range", reason: "because" }),
    events: () => ({ id: uuid(), kind: "reinjury", on: "2026-03-09", reason: "because" }),
    conditions: () => ({ id: uuid(), code: "falls", present: true, reason: "because" }),
    suspects: () => ({
      id: uuid(),
      trainingDate: "2026-03-08",
      itemId: squeezeOf("fencer"),
      reason: "because",
    }),
    documents: () => ({ id: uuid(), kind: "visit-note", body: "text", proposed: "text" }),
    merges: () => ({ id: uuid(), otherEpisode: uuid(), reason: "because" }),
    handovers: () => ({ id: uuid(), toStaff: uuid(), reason: "because" }),
    erasure: () => ({ id: uuid(), familyName: "Somebody", reason: "because" }),
    voidings: () => ({ id: uuid(), kind: "session", targetId: uuid(), reason: "because" }),
    "session-draft": () => ({ id: uuid(), body: {} }),
    week: () => ({ id: uuid(), ...emptyWeek, placed: [] }),
    "week-solutions": () => emptyWeek,
    lifts: () => ({ id: uuid(), on: "2026-03-09", movement: "Row", sets: 3, reps: 5, loadKg: 40 }),
    "small-doses": () => ({ id: uuid(), step: "begin", lookOn: "2026-03-30" }),
  };
  /** What an endpoint cannot be asked without. */
  const queries: Record<string, string> = {
    schools: `?item=${uuid()}`,
    trend: "?measure=pain-now",
    traces: "?measure=pain-now",
  };
  const withId = operations.filter((operation) => operation.path.includes("{id}"));

  it.each(withId.map((o) => [o.method, o.path] as const))("%s %s", async (method, route) => {
    const stranger = new Client(url);
    expect(
      (await stranger.post("/api/sign-in", { email: foreignEmail, password: demoPassword })).status,
    ).toBe(200);
    const ask = (id: string) => {
      const body = bodies[path.basename(route)]?.();
      return stranger.send(
        method.toUpperCase(),
        `${route.replace("{id}", id)}${queries[path.basename(route)] ?? ""}`,
        method === "post" ? body : undefined,
      );
    };
    expect((await ask(fencer)).status).toBe(404);
    expect((await ask(uuid())).status).toBe(404);
    expect((await ask("not-an-id")).status).toBe(404);
    const pages = await Promise.all(
      [
        "",
        "/session",
        "/record",
        "/plan",
        "/measures",
        "/gate",
        "/schools",
        "/document",
        "/library",
        "/lifts",
        "/lab",
        "/week",
        "/phone",
        "/handout",
        "/person",
      ].map((p) => stranger.get(`/episodes/${fencer}${p}`)),
    );
    expect(pages.map((p) => p.status)).toEqual(Array(15).fill(404));
    for (const { body } of pages) expect(body).not.toContain("Darrow");
    const forFencer = await stranger.get(`/library/clam?for=${fencer}`);
    expect(forFencer.status).toBe(404);
    expect(forFencer.body).not.toContain("Darrow");
  });

  it("and takes nobody in beside an episode that is not its own", async () => {
    const stranger = new Client(url);
    await stranger.post("/api/sign-in", { email: foreignEmail, password: demoPassword });
    const intake = someIntake("kneecap-pain");
    const { stage, lanes } = (await stranger.post("/api/intakes/placing", { intake })).body as Placing;
    const chosen = lanes.flatMap((lane) => lane.chosen ?? []).slice(0, 1);
    const items = chosen.map(({ exerciseId, variantId }) => ({ id: uuid(), exerciseId, variantId }));
    const reply = await stranger.post("/api/intakes", { id: uuid(), intake, stage, items, beside: fencer });
    expect(reply.status).toBe(422);
    expect(reply.body.problems).toEqual([{ path: "/beside", problem: "is not an episode of this clinic" }]);
  });

  it("and sees nobody on its own caseload", async () => {
    const stranger = new Client(url);
    await stranger.post("/api/sign-in", { email: foreignEmail, password: demoPassword });
    expect((await stranger.get("/api/caseload")).body.rows).toEqual([]);
  });

  it("and sets whom to call for itself alone; before it has, its one sentence stands for every urgency", async () => {
    const stranger = new Client(url);
    await stranger.post("/api/sign-in", { email: foreignEmail, password: demoPassword });
    const urgencies = ["emergency", "same-day", "soon", "review"];
    const all = (words: string) => Object.fromEntries(urgencies.map((urgency) => [urgency, words]));
    expect((await stranger.get("/api/clinic/calls")).body).toEqual({ calls: all("-"), maySet: true });
    const body = { id: uuid(), calls: all("Elsewhere 555 0100") };
    expect((await stranger.post("/api/clinic/calls", body)).status).toBe(201);
    expect((await stranger.get("/api/clinic/calls")).body.calls).toEqual(body.calls);
    expect((await clinician.get("/api/clinic/calls")).body.calls).toEqual(demoClinic.calls);
  });

  it("the list of operations is the list of route files", () => {
    const folder = path.resolve("src/pages/api");
    const files = readdirSync(folder, { recursive: true, encoding: "utf8" }).filter((file) =>
      file.endsWith(".ts"),
    );
    const routes = files
      .map((file) =>
        `/api/${file.replace(/\.ts$/, "").replace(/\/?index$/, "")}`.replace(/\[(\w+)\]/g, "{$1}"),
      )
      .filter((route) => route !== "/api/calc/{name}")
      .sort();
    const described = [...new Set(operations.map((o) => o.path))]
      .filter((p) => !p.startsWith("/api/calc/"))
      .sort();
    expect(described).toEqual(routes);
  });
});

describe("without a sign-in", () => {
  it("endpoints answer 401 and pages lead to the sign-in", async () => {
    const nobody = new Client(url);
    expect((await nobody.get("/api/caseload")).status).toBe(401);
    expect((await nobody.post("/api/calc/limb-symmetry", {})).status).toBe(401);
    const page = await nobody.get("/");
    expect([page.status, page.headers.get("location")]).toEqual([303, "/sign-in"]);
  });
});

describe("writes from elsewhere are refused", () => {
  const send = (method: string, origin: string | null, headers: Record<string, string> = {}) =>
    fetch(`${url}/api/episodes/${fencer}/sessions`, {
      method,
      headers: { cookie: clinician.sessionCookie, ...(origin === null ? {} : { origin }), ...headers },
      ...(method === "DELETE" ? {} : { body: "{}" }),
    }).then((response) => response.status);

  it.each([
    ["JSON", "POST", { "content-type": "application/json" }],
    ["a form", "POST", { "content-type": "application/x-www-form-urlencoded" }],
    ["DELETE", "DELETE", {}],
    ["PUT", "PUT", { "content-type": "text/plain" }],
  ])("%s", async (_what, method, headers) => {
    expect(await send(method, "http://evil.example", headers as Record<string, string>)).toBe(403);
    expect(await send(method, "null", headers as Record<string, string>)).toBe(403);
    expect(await send(method, null, headers as Record<string, string>)).toBe(403);
  });
});

describe("every answer carries its headers", () => {
  it.each(["/sign-in", "/api/caseload", "/health", "/mark.svg", "/nothing-here", "/_astro/nothing.js"])(
    "%s",
    async (route) => {
      const { headers } = await new Client(url).get(route);
      const policy = headers.get("content-security-policy") ?? "";
      expect(policy).toContain("default-src 'none'");
      expect(policy).toContain("frame-ancestors 'none'");
      expect(policy).not.toContain("unsafe-inline");
      expect(policy).not.toMatch(/'unsafe-eval'/);
      expect(headers.get("x-content-type-options")).toBe("nosniff");
      expect(headers.get("referrer-policy")).toBe("no-referrer");
    },
  );
});

it("the interface description names every calculation with its schemas", async () => {
  const { body } = await new Client(url).get("/api/openapi.json");
  expect(body.openapi).toBe("3.1.0");
  expect(body.paths["/api/calc/effort-target"].post.requestBody.content["application/json"].example).toEqual({
    maximumN: 180,
    lowPercent: 50,
    highPercent: 70,
  });
  const answer = await clinician.post("/api/calc/effort-target", {
    maximumN: 180,
    lowPercent: 50,
    highPercent: 70,
  });
  expect([answer.status, answer.body]).toEqual([200, { lowN: 90, highN: 126 }]);
  const refused = await clinician.post("/api/calc/pain-response", {
    school: "monitored",
    painBefore: 0,
    painDuring: 11,
  });
  expect([refused.status, refused.body.problems[0].path]).toEqual([422, "/painDuring"]);
  expect((await clinician.post("/api/calc/no-such-thing", {})).status).toBe(404);
});

it("logs carry no patient data: no name, no id, no finding", async () => {
  const app = await servers.startApp();
  const client = clinician.at(app.url);
  await client.get(`/api/episodes/${fencer}`);
  await client.get(`/episodes/${fencer}`);
  await client.post(`/api/episodes/${fencer}/sessions`, squeezeSession("fencer", { painBefore: 11 }));
  await client.post("/api/sign-in", { email: "clinician@tarnstreet.example", password: "wrong" });
  const lines = app.output();
  expect(lines).toContain("/api/episodes/[id]");
  expect(lines).toContain("input refused");
  for (const secret of [fencer, "Darrow", "Fencer", "tarnstreet", "painBefore", "wrong"])
    expect(lines).not.toContain(secret);
});
