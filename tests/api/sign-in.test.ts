import http from "node:http";
import mysql from "mysql2/promise";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { demoPassword } from "~demo/clinic";
import { addForeignClinic, foreignEmail } from "~tests/harness/foreign-clinic";
import { startServers, type Servers } from "~tests/harness/servers";
import { Client, signedIn } from "~tests/harness/client";

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

/** Asks by a Host of one's own, as the platform's fetch does not let one. */
function asked(
  at: string,
  path: string,
  { host, origin, cookie, body }: { host: string; origin?: string; cookie?: string; body?: object },
): Promise<{ status: number; headers: http.IncomingHttpHeaders }> {
  const text = body && JSON.stringify(body);
  const headers = {
    host,
    ...(origin ? { origin } : {}),
    ...(cookie ? { cookie: cookie.split(";")[0] } : {}),
    ...(text ? { "content-type": "application/json", "content-length": Buffer.byteLength(text) } : {}),
  };
  return new Promise((resolve, reject) => {
    const request = http.request(at + path, { method: text ? "POST" : "GET", headers }, (response) => {
      response.resume();
      response.once("end", () => resolve({ status: response.statusCode ?? 0, headers: response.headers }));
    });
    request.once("error", reject);
    request.end(text);
  });
}

describe("sign-in", () => {
  it("sets a cookie that scripts and other sites cannot use", async () => {
    const { headers } = await new Client(url).post("/api/sign-in", {
      email: foreignEmail,
      password: demoPassword,
    });
    const cookie = headers.get("set-cookie") ?? "";
    expect(cookie).toMatch(/HttpOnly/i);
    expect(cookie).toMatch(/SameSite=Lax/i);
  });

  it("over https its name lets no other host set it, and browsers keep to https (RFC 6265bis, RFC 6797)", async () => {
    const secure = await servers.startApp({ PUBLIC_URL: "https://clinic.example" });
    const reply = await asked(secure.url, "/api/sign-in", {
      host: "clinic.example",
      origin: "https://clinic.example",
      body: { email: foreignEmail, password: demoPassword },
    });
    expect(reply.status).toBe(200);
    const [cookie = ""] = reply.headers["set-cookie"] ?? [];
    expect(cookie).toMatch(/^__Host-stair_session=.*; Path=\/;.*Secure/i);
    expect(cookie).not.toMatch(/domain=/i);
    expect(reply.headers["strict-transport-security"]).toMatch(/^max-age=\d{8}/);
    const held = await asked(secure.url, "/api/caseload", { host: "clinic.example", cookie });
    expect(held.status).toBe(200);
    const renamed = cookie.replace("__Host-", "");
    expect(
      (await asked(secure.url, "/api/caseload", { host: "clinic.example", cookie: renamed })).status,
    ).toBe(401);

    for (const host of ["evil.example", "clinic.example.evil.example", "clinic.example:8080"])
      expect((await asked(secure.url, "/api/caseload", { host, cookie })).status).toBe(421);
    expect((await asked(secure.url, "/ready", { host: "127.0.0.1:80" })).status).toBe(200);
    expect((await asked(secure.url, "/", { host: "127.0.0.1:80" })).status).toBe(421);
  });

  it("a name that leads to this machine from elsewhere is not answered", async () => {
    expect((await asked(url, "/sign-in", { host: "rebound.example" })).status).toBe(421);
    expect((await asked(url, "/sign-in", { host: new URL(url).host })).status).toBe(200);
    expect((await asked(url, "/sign-in", { host: "localhost:4321" })).status).toBe(200);
    expect((await new Client(url).get("/api/caseload")).headers.get("strict-transport-security")).toBeNull();
  });

  it("a page that asks by itself keeps nobody signed in; somebody who is there is kept", async () => {
    const left = await signedIn(url, "lead");
    const there = await signedIn(url, "lead");
    for (const minute of [20, 40, 59]) {
      servers.setClock(`2026-03-10T09:${minute}:00.000Z`);
      expect((await left.send("GET", "/api/caseload", undefined, { "stair-unattended": "1" })).status).toBe(
        200,
      );
      expect((await there.get("/api/caseload")).status).toBe(200);
    }
    servers.setClock("2026-03-10T10:01:00.000Z");
    expect((await left.send("GET", "/api/caseload", undefined, { "stair-unattended": "1" })).status).toBe(
      401,
    );
    expect((await there.get("/api/caseload")).status).toBe(200);
    servers.setClock("2026-03-10T09:00:00.000Z");
  });

  it("keeps only a hash of the token", async () => {
    const db = await mysql.createConnection({ uri: servers.database.ownerUrl });
    const [rows] = await db.query<mysql.RowDataPacket[]>(
      "SELECT HEX(token_hash) AS hash FROM staff_sessions",
    );
    await db.end();
    const token = clinician.sessionCookie.split("=")[1] ?? "";
    expect(rows.length).toBeGreaterThan(0);
    const hex = Buffer.from(token, "base64url").toString("hex").toUpperCase();
    expect(rows.map((row) => row["hash"])).not.toContain(hex);
  });

  it("answers an unknown address and a wrong password alike, after like work", async () => {
    const timed = async (email: string) => {
      const started = performance.now();
      const reply = await new Client(url).post("/api/sign-in", { email, password: "wrong" });
      return { reply, ms: performance.now() - started };
    };
    const wrong = await timed("lead@tarnstreet.example");
    const unknown = await timed("nobody@tarnstreet.example");
    expect(unknown.reply.status).toBe(401);
    expect(unknown.reply.body).toEqual(wrong.reply.body);
    expect(unknown.ms).toBeGreaterThan(wrong.ms / 4);
  });

  it("is refused after too many tries, at every process and whatever X-Forwarded-For says", async () => {
    const email = "assistant@tarnstreet.example";
    const statuses: number[] = [];
    for (let n = 0; n < 12; n += 1) {
      const client = new Client(servers.urls[n % 2] as string);
      const headers = { "x-forwarded-for": `10.0.0.${n}` };
      statuses.push(
        (await client.send("POST", "/api/sign-in", { email, password: "wrong" }, headers)).status,
      );
    }
    expect(statuses.slice(0, 8)).toEqual(Array.from({ length: 8 }, () => 401));
    expect(statuses.slice(8)).toEqual([429, 429, 429, 429]);
    const right = await new Client(url).post("/api/sign-in", { email, password: demoPassword });
    expect(right.status).toBe(429);
    expect(Number(right.headers.get("retry-after"))).toBeGreaterThan(0);
  });

  it("ends with sign-out, at every process", async () => {
    const client = await signedIn(url, "lead");
    const held = client.at(servers.urls[1] as string);
    expect((await held.get("/api/caseload")).status).toBe(200);
    await client.post("/api/sign-out", {});
    expect((await held.get("/api/caseload")).status).toBe(401);
  });

  it("ends after an hour without use, and after twelve in any case", async () => {
    const client = await signedIn(url, "lead");
    const at = async (instant: string) => {
      servers.setClock(instant);
      return (await client.get("/api/caseload")).status;
    };
    expect(await at("2026-03-10T09:59:00Z")).toBe(200);
    expect(await at("2026-03-10T10:58:00Z")).toBe(200);
    expect(await at("2026-03-10T12:00:00Z")).toBe(401);
    servers.setClock("2026-03-10T09:00:00Z");
    const busy = await signedIn(url, "lead");
    for (let hour = 9; hour < 21; hour += 1) {
      servers.setClock(`2026-03-10T${String(hour).padStart(2, "0")}:59:00Z`);
      expect((await busy.get("/api/caseload")).status).toBe(hour < 21 ? 200 : 401);
    }
    servers.setClock("2026-03-10T21:01:00Z");
    expect((await busy.get("/api/caseload")).status).toBe(401);
    servers.setClock("2026-03-10T09:00:00Z");
  });

  it("is not refused to its owner in a browser of theirs, whatever a stranger has tried; a stranger's cookie helps no stranger", async () => {
    const email = "lead@tarnstreet.example";
    const tried = async (client: Client, password: string) =>
      (await client.post("/api/sign-in", { email, password })).status;
    const owner = await signedIn(url, "lead");
    // Somebody else of the clinic has a browser that is known too, for another account.
    const stranger = await signedIn(url);
    const guesses: number[] = [];
    for (let n = 0; n < 9; n += 1) guesses.push(await tried(n % 2 ? stranger : new Client(url), "wrong"));
    expect(guesses).toEqual([...Array.from({ length: 8 }, () => 401), 429]);
    expect(await tried(new Client(servers.urls[1] as string), demoPassword)).toBe(429);
    expect(await tried(owner.at(servers.urls[1] as string), demoPassword)).toBe(200);
    // Who has taken the browser itself may guess no more often than anybody.
    const taken: number[] = [];
    for (let n = 0; n < 9; n += 1) taken.push(await tried(owner, "wrong"));
    expect(taken).toEqual([...Array.from({ length: 8 }, () => 401), 429]);
  });
});
