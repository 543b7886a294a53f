import { readdirSync, readFileSync } from "node:fs";
import http from "node:http";
import mysql, { type Connection } from "mysql2/promise";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { Client, signedIn } from "~tests/harness/client";
import { startServers, type Servers } from "~tests/harness/servers";
import { circumstances, fencer, skater, squeezeSession } from "~tests/harness/story";

let servers: Servers;
let url: string;
let clinician: Client;
let owner: Connection;

beforeAll(async () => {
  servers = await startServers(2);
  url = servers.urls[0] as string;
  clinician = await signedIn(url);
  owner = await mysql.createConnection({ uri: servers.database.ownerUrl, timezone: "Z" });
});
afterAll(async () => {
  owner.destroy();
  await servers.stop();
});

const of = (episode: string, what = "") => `/api/episodes/${episode}${what}`;
const limit = (knob: string, hardest: unknown) => ({
  kind: "knob-limit",
  knob,
  hardest,
  origin: "surgeon",
  says: "as written",
});

describe("a limit that cannot be judged", () => {
  it.each([
    ["an unknown setting", limit("sparkle", 3), "/circumstances/limits/0/knob"],
    ["a senseless value", limit("load", "abc"), "/circumstances/limits/0/hardest"],
    [
      "a range without an end",
      { kind: "range-limit", joint: "knee", origin: "surgeon", says: "?" },
      "/circumstances/limits/0/mostDeg",
    ],
  ])("%s is refused by field, and nothing is kept", async (_what, wrong, path) => {
    const body = circumstances([wrong]);
    const reply = await clinician.post(of(fencer, "/circumstances"), body);
    expect([reply.status, reply.body.problems?.[0]?.path]).toEqual([422, path]);
    const [rows] = await owner.query("SELECT id FROM circumstances WHERE id = ?", [body.id]);
    expect(rows).toEqual([]);
    for (const what of ["", "/plan", "/gate"])
      expect((await clinician.get(of(fencer, what))).status).toBe(200);
    expect((await clinician.get("/api/caseload")).status).toBe(200);
  });
});

describe("the same id", () => {
  it("with the same content is a repeat, at any process", async () => {
    const body = squeezeSession("fencer");
    expect((await clinician.post(of(fencer, "/sessions"), body)).body.repeated).toBe(false);
    const again = await clinician.at(servers.urls[1] as string).post(of(fencer, "/sessions"), body);
    expect([again.status, again.body.repeated]).toEqual([201, true]);
  });

  it("with other content is a conflict that shows both, and the first stands", async () => {
    const body = squeezeSession("fencer", { occurredAt: "2026-03-10T07:00:00.000Z" }, { painDuring: 8 });
    expect((await clinician.post(of(fencer, "/sessions"), body)).status).toBe(201);
    const other = squeezeSession("fencer", { id: body.id, occurredAt: body.occurredAt }, { painDuring: 0 });
    const reply = await clinician.post(of(fencer, "/sessions"), other);
    expect([reply.status, reply.body.type]).toEqual([409, "/problems/id-conflict"]);
    expect(reply.body.problems[0]).toEqual({
      path: "/items/0/sets/0/painDuring",
      problem: "was recorded as 8; now it is 0",
    });
    expect(reply.body.changed).toEqual({ recorded: body, sent: other });
    const file = (await clinician.get(of(fencer, "/case"))).body;
    const kept = file.sessions.find(({ id }: { id: string }) => id === body.id);
    expect(kept.items[0].sets[0].painDuring).toBe(8);
  });

  const writes: [string, (client: Client) => Promise<[path: string, one: object, other: object]>][] = [
    [
      "a report",
      async () => {
        const report = { id: uuid(), trainingDate: "2026-03-08", pain: 8 };
        return [of(fencer, "/reports"), report, { ...report, pain: 0 }];
      },
    ],
    [
      "a visit",
      async () => {
        const visit = (trial: number) => ({
          takenOn: "2026-03-10",
          results: [{ id: uuid(), measure: "pain-now", side: "none", trials: [trial] }],
        });
        const id = uuid();
        return [of(fencer, "/measures"), { id, ...visit(8) }, { id, ...visit(0) }];
      },
    ],
    [
      "a signal",
      async () => {
        const signal = { id: uuid(), code: "dizziness" };
        return [of(fencer, "/signals"), signal, { ...signal, code: "calf-hot" }];
      },
    ],
    [
      "a school",
      async () => {
        const school = { id: uuid(), school: "pain-free", reason: "careful" };
        return [of(fencer, "/school"), school, { ...school, school: "monitored" }];
      },
    ],
    [
      "circumstances",
      async () => {
        const set = circumstances([]);
        return [of(fencer, "/circumstances"), set, { ...set, reason: "another reason" }];
      },
    ],
  ];
  it.each(writes)("%s: nothing is lost in silence", async (_what, make) => {
    const [path, one, other] = await make(clinician);
    expect((await clinician.post(path, one)).status).toBe(201);
    expect((await clinician.post(path, one)).body.repeated).toBe(true);
    const reply = await clinician.post(path, other);
    expect([reply.status, reply.body.type, reply.body.problems.length > 0]).toEqual([
      409,
      "/problems/id-conflict",
      true,
    ]);
  });

  it("of somebody else's record, or of another kind of thing, is not taken", async () => {
    const body = { id: uuid(), school: "monitored", reason: "because" };
    expect((await clinician.post(of(fencer, "/school"), body)).status).toBe(201);
    for (const [path, sent] of [
      [of(skater, "/school"), body],
      [of(fencer, "/signals"), { id: body.id, code: "dizziness" }],
    ] as const) {
      const reply = await clinician.post(path, sent);
      expect([reply.status, reply.body.type]).toEqual([409, "/problems/id-in-use"]);
    }
  });

  it("two that say different things at once: one is written, the other is told", async () => {
    const body = { id: uuid(), school: "tendon", reason: "because" };
    const other = { ...body, school: "monitored" };
    const replies = await Promise.all([
      clinician.post(of(fencer, "/school"), body),
      clinician.at(servers.urls[1] as string).post(of(fencer, "/school"), other),
    ]);
    expect(replies.map(({ status }) => status).sort()).toEqual([201, 409]);
  });
});

describe("what the database or the platform could not take is refused before", () => {
  it.each([
    ["half a letter", { id: uuid(), code: "dizziness", note: "\ud800" }, 400],
    ["an id with a scheme before it", { id: `urn:uuid:${uuid()}`, code: "dizziness" }, 422],
  ])("%s", async (_what, body, status) => {
    expect((await clinician.post(of(fencer, "/signals"), body)).status).toBe(status);
  });

  it("a leap second", async () => {
    const body = squeezeSession("fencer", { occurredAt: "2016-12-31T23:59:60Z" });
    const reply = await clinician.post(of(fencer, "/sessions"), body);
    expect([reply.status, reply.body.problems[0].path]).toEqual([422, "/occurredAt"]);
  });

  it("a draft nested a hundred deep", async () => {
    const nested = JSON.parse(`${'{"a":'.repeat(100)}1${"}".repeat(100)}`);
    for (const [path, body] of [
      [of(fencer, "/session-draft"), { id: uuid(), body: nested }],
      ["/api/intakes/drafts", { id: uuid(), label: "x", body: nested }],
    ] as const)
      expect((await clinician.post(path, body)).status).toBe(400);
  });

  it("an address that does not decode, and methods that no request can be made of", async () => {
    const raw = (method: string, path: string) =>
      new Promise<number>((resolve, reject) => {
        const { hostname, port } = new URL(url);
        http
          .request({ hostname, port, method, path }, (response) => {
            response.resume();
            resolve(response.statusCode ?? 0);
          })
          .on("error", reject)
          .end();
      });
    expect(await raw("TRACE", "/")).toBe(405);
    expect(await raw("PROPFIND", "/api/caseload")).toBe(405);
    for (const path of ["/episodes/%E0%A4%A", "/api/episodes/%E0%A4%A", "/_astro/%"])
      expect([path, await raw("GET", path)]).toEqual([path, 400]);
    const odd = ["//", "/..", "/%2e%2e/%2e%2e/package.json", "/?%", "/episodes//", "/%00", "/api/%2e%2e/x"];
    for (const path of odd) expect([path, (await raw("GET", path)) < 500]).toEqual([path, true]);
  });
});

describe("files and pages go out compressed", () => {
  it("an idle connection is kept longer than a proxy or a browser keeps it", async () => {
    const kept = await new Promise<string>((resolve, reject) => {
      const agent = new http.Agent({ keepAlive: true });
      http
        .get(`${url}/ready`, { agent }, (reply) => {
          reply.resume();
          agent.destroy();
          resolve(String(reply.headers["keep-alive"]));
        })
        .once("error", reject);
    });
    expect(Number(/timeout=(\d+)/.exec(kept)?.[1])).toBeGreaterThan(60);
  });

  it("hashed files are kept for a year and come small", async () => {
    const page = await fetch(`${url}/sign-in`, { headers: { "accept-encoding": "br" } });
    expect(page.headers.get("content-encoding")).toBe("br");
    // What every view needs first; one of a few lines would not gain by it.
    const script = /\/_astro\/client\.[^"]+\.js/.exec(await page.text())?.[0] ?? "";
    const file = await fetch(url + script, { headers: { "accept-encoding": "br, gzip" } });
    expect([file.status, file.headers.get("content-encoding")]).toEqual([200, "br"]);
    expect(file.headers.get("cache-control")).toBe("public, max-age=31536000, immutable");
    expect(file.headers.get("content-security-policy")).toContain("default-src 'none'");
    const plain = await fetch(url + script, { headers: { "accept-encoding": "identity" } });
    expect([plain.headers.get("content-encoding"), await plain.text()]).toEqual([null, await file.text()]);
  });

  it("no view carries what makes schemas: it weighs a tenth of a whole view and checks nothing there", () => {
    const folder = "dist/client/_astro";
    const scripts = readdirSync(folder).filter((name) => name.endsWith(".js"));
    expect(scripts.length).toBeGreaterThan(20);
    const carrying = scripts.filter((name) => readFileSync(`${folder}/${name}`, "utf8").includes("TypeBox"));
    expect(carrying).toEqual([]);
  });

  it("answers with a person's data are compressed and kept nowhere", async () => {
    const reply = await clinician.send("GET", of(fencer), undefined, { "accept-encoding": "gzip" });
    expect(reply.headers.get("content-encoding")).toBe("gzip");
    expect(reply.headers.get("cache-control")).toBe("no-store");
  });
});

describe("tries to sign in are counted together", () => {
  it("for every spelling that the database finds equal, and alike where there is no account", async () => {
    const spellings = (name: string) => [
      `${name}@tarnstreet.example`,
      `${name.toUpperCase()}@tarnstreet.example`,
      `${name.replace("a", "ä")}@tarnstreet.example`,
      `${name.replace("a", "\uff41")}@tarnstreet.example`,
      `${name}\u200b@tarnstreet.example`,
    ];
    const statuses = async (name: string) => {
      const all = [...spellings(name), ...spellings(name)];
      const found: number[] = [];
      for (const email of all)
        found.push((await new Client(url).post("/api/sign-in", { email, password: "wrong" })).status);
      return found;
    };
    const expected = [...Array<number>(8).fill(401), 429, 429];
    expect(await statuses("lead")).toEqual(expected);
    expect(await statuses("nobody-at-all")).toEqual(expected);
  });

  it("behind a trusted proxy by the address that the proxy saw, whatever the sender put before it", async () => {
    const behind = await servers.startApp({ TRUSTED_PROXY: "127.0.0.1,10.1.0.0/16" });
    const client = new Client(behind.url);
    const attempt = async (n: number, seen: string) => {
      const headers = { "x-forwarded-for": `203.0.113.${n}, ${seen}, 10.1.2.3` };
      const body = { email: `someone-${n}@else.example`, password: "wrong" };
      return (await client.send("POST", "/api/sign-in", body, headers)).status;
    };
    const found: number[] = [];
    for (let n = 0; n < 42; n += 1) found.push(await attempt(n, "198.51.100.7"));
    expect(found.slice(0, 40)).toEqual(Array<number>(40).fill(401));
    expect(found.slice(40)).toEqual([429, 429]);
    expect(await attempt(50, "198.51.100.8")).toBe(401);
  });
});

it("the interface description says codes and parameters as they are", async () => {
  const { paths } = (await clinician.get("/api/openapi.json")).body;
  const of_ = (path: string, method: string) => paths[path][method];
  expect(Object.keys(of_("/api/episodes/{id}/sessions", "post").responses)).toEqual(["201", "default"]);
  expect(Object.keys(of_("/api/sign-in", "post").responses)).toEqual(["200", "default"]);
  expect(of_("/api/exercises/{code}", "get").parameters).toMatchObject([
    { name: "code", in: "path", required: true },
  ]);
  expect(of_("/api/episodes/{id}/trend", "get").parameters).toMatchObject([
    { name: "id", in: "path", required: true, schema: { format: "uuid" } },
    { name: "measure", in: "query", required: true },
  ]);
  const search = of_("/api/exercises", "get").parameters.map(({ name }: { name: string }) => name);
  expect(search).toEqual(expect.arrayContaining(["lane", "kit", "stage", "text", "limit"]));
});
